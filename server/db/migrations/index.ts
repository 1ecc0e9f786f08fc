import type { Knex } from 'knex'
import * as first from './0001-first'
import * as stock from './0002-stock'
import * as abrasives from './0003-abrasives'
import * as finishes from './0004-finishes'
import * as bench from './0005-bench'
import * as changes from './0006-changes'
import * as lifetime from './0007-lifetime'
import * as workshops from './0008-workshops'
import * as planVersions from './0009-plan-versions'
import * as asUsed from './0010-as-used'
import * as learntAnew from './0011-learnt-anew'
import * as countedOff from './0012-counted-off'
import * as boards from './0013-boards'
import * as evenings from './0014-evenings'
import * as told from './0015-told'
import * as backups from './0016-backups'
import * as prices from './0017-prices'
import * as orders from './0018-orders'
import * as supplies from './0019-supplies'
import * as intakes from './0020-intakes'
import * as ownThings from './0021-own-things'
import * as cautions from './0022-cautions'
import * as people from './0023-people'
import * as classes from './0024-classes'
import * as links from './0025-links'
import * as who from './0026-who'
import * as second from './0027-second'
import * as helper from './0028-helper'

interface Migration {
  name: string
  up: (knex: Knex) => Promise<void>
  down: (knex: Knex) => Promise<void>
}

const migrations: Migration[] = [
  { name: '0001-first', ...first },
  { name: '0002-stock', ...stock },
  { name: '0003-abrasives', ...abrasives },
  { name: '0004-finishes', ...finishes },
  { name: '0005-bench', ...bench },
  { name: '0006-changes', ...changes },
  { name: '0007-lifetime', ...lifetime },
  { name: '0008-workshops', ...workshops },
  { name: '0009-plan-versions', ...planVersions },
  { name: '0010-as-used', ...asUsed },
  { name: '0011-learnt-anew', ...learntAnew },
  { name: '0012-counted-off', ...countedOff },
  { name: '0013-boards', ...boards },
  { name: '0014-evenings', ...evenings },
  { name: '0015-told', ...told },
  { name: '0016-backups', ...backups },
  { name: '0017-prices', ...prices },
  { name: '0018-orders', ...orders },
  { name: '0019-supplies', ...supplies },
  { name: '0020-intakes', ...intakes },
  { name: '0021-own-things', ...ownThings },
  { name: '0022-cautions', ...cautions },
  { name: '0023-people', ...people },
  { name: '0024-classes', ...classes },
  { name: '0025-links', ...links },
  { name: '0026-who', ...who },
  { name: '0027-second', ...second },
  { name: '0028-helper', ...helper },
]

/** The migrations as modules, so that the built server needs no folder of them. */
export const migrationSource: Knex.MigrationSource<Migration> = {
  getMigrations: async () => migrations,
  getMigrationName: migration => migration.name,
  getMigration: async migration => migration,
}

export const migrationNames: readonly string[] = migrations.map(migration => migration.name)
