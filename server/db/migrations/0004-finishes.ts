import type { Knex } from 'knex'
import { methods, products } from '../../../reference'

/** Methods as versioned values, bottles with their labels, and the air as it was read; plans of the one method there was before are put into today's words. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('methods', (table) => {
    table.text('id').primary()
    table.boolean('gone').notNullable().defaultTo(false)
    table.timestamp('created_at').notNullable().defaultTo(knex.fn.now())
  })
  await knex.schema.createTable('method_versions', (table) => {
    table.text('method_id').notNullable().references('methods.id')
    table.integer('version').notNullable()
    table.jsonb('body').notNullable()
    table.timestamp('made_at').notNullable().defaultTo(knex.fn.now())
    table.primary(['method_id', 'version'])
  })
  await knex('methods').insert(methods.map(({ id }) => ({ id })))
  await knex('method_versions').insert(methods.map(({ id, version, ...body }) => ({ method_id: id, version, body: JSON.stringify(body) })))

  await knex.schema.alterTable('shelf_items', (table) => {
    table.date('opened')
    table.boolean('closed').notNullable().defaultTo(false)
    for (const whole of ['keeps', 'price']) table.integer(whole)
    table.integer('sealed').notNullable().defaultTo(0)
    for (const amount of ['left_ml', 'size_ml']) table.double(amount)
    /** When the amount left was said: what pens use after it comes off. */
    table.timestamp('left_at')
    table.jsonb('label').notNullable().defaultTo('{}')
  })

  await knex.schema.createTable('air_readings', (table) => {
    table.timestamp('at').primary()
    table.double('celsius').notNullable()
    table.double('humidity').notNullable()
  })

  for (const { pen_id, version, body } of await knex('plans').select('pen_id', 'version', 'body')) {
    await knex('plans').where({ pen_id, version }).update({ body: JSON.stringify(inTodaysWords(body as OldPlan)) })
  }
}

export async function down(knex: Knex): Promise<void> {
  for (const table of ['air_readings', 'method_versions', 'methods']) await knex.schema.dropTable(table)
  await knex.schema.alterTable('shelf_items', table => table.dropColumns('opened', 'closed', 'keeps', 'price', 'sealed', 'left_ml', 'size_ml', 'left_at', 'label'))
}

interface OldProduct { id: string, film?: Record<string, unknown> }
interface OldMethod { id: string, speeds: { sand: number, coat: number, level: number, polish: number }, applicator: string, greatestJump: number, soakCoats: number, mediumCoats: number }
interface OldPlan {
  inputs: { method: OldMethod, shelf: { products: OldProduct[] } }
  steps: { kind: string, product?: OldProduct | null }[]
}

const withSolids = <T extends OldProduct | null | undefined>(product: T): T =>
  product?.film ? { ...product, film: { solids: products.find(row => row.id === product.id)?.film?.solids ?? 1, ...product.film } } : product

/** A plan from before methods had layers: the same steps, with what they left to the method said in themselves. */
function inTodaysWords(plan: OldPlan): unknown {
  const { method } = plan.inputs
  const { coat, ...speeds } = method.speeds
  const today = methods.find(row => row.id === method.id)!
  const layers = today.layers.map((layer, index) => ({ ...layer, applicator: method.applicator, speed: coat, ...(index === 0 ? { count: method.soakCoats } : index === 2 ? { count: method.mediumCoats } : {}) }))
  return {
    ...plan,
    inputs: {
      ...plan.inputs, method: { ...today, speeds, greatestJump: method.greatestJump, layers: layers.filter(layer => layer.count !== 0) },
      shelf: { ...plan.inputs.shelf, products: plan.inputs.shelf.products.map(withSolids) },
    },
    steps: plan.steps.map(step => ({
      ...step, ...('product' in step ? { product: withSolids(step.product) } : {}), ...(step.kind === 'coat' ? { speed: coat, applicator: method.applicator } : {}),
    })),
  }
}
