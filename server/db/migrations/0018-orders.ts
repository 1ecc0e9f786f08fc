import type { Knex } from 'knex'

const WALLED = ['customers', 'places', 'orders', 'order_lines']

/** Customers, orders of pens, places where pens are sold; what is asked for a pen, and whether it went to somebody. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw('alter table workshop add column currency text')
  await knex.raw('alter table pens add column asked integer')
  await knex.raw('alter table pen_rows add column gone boolean not null default false')
  await knex.raw('create index pen_rows_here on pen_rows (workshop_id, recent desc, pen_id desc) where stage = \'finished\' and not gone')
  const own = 'workshop_id uuid not null default current_workshop() references workshops (id), id uuid not null'
  await knex.raw(`
    create table customers (
      ${own}, name text not null, reach text not null, remark text not null, version integer not null default 1,
      primary key (workshop_id, id))`)
  await knex.raw('create index customers_name on customers (workshop_id, lower(name))')
  await knex.raw(`
    create table places (
      ${own}, name text not null, kind text not null, day date, cost integer, gone boolean not null default false,
      version integer not null default 1, made timestamptz not null default now(),
      primary key (workshop_id, id))`)
  await knex.raw(`
    create table orders (
      ${own}, number integer not null, kind text not null, customer_id uuid, promised date, deposit integer, remark text not null,
      called_off boolean not null, handed boolean not null default false, version integer not null default 1,
      made timestamptz not null default now(),
      primary key (workshop_id, id),
      unique (workshop_id, number),
      foreign key (workshop_id, customer_id) references customers (workshop_id, id) on delete set null (customer_id))`)
  await knex.raw('create index orders_open on orders (workshop_id, promised, number) where not called_off and not handed')
  await knex.raw('create index orders_customer on orders (workshop_id, customer_id)')
  await knex.raw(`
    create table order_lines (
      ${own}, order_id uuid not null, place integer not null, pen_id uuid, body jsonb not null,
      primary key (workshop_id, id),
      foreign key (workshop_id, order_id) references orders (workshop_id, id) on delete cascade,
      foreign key (workshop_id, pen_id) references pens (workshop_id, id))`)
  await knex.raw('create index order_lines_order on order_lines (workshop_id, order_id, place)')
  await knex.raw('create index order_lines_pen on order_lines (workshop_id, pen_id)')
  for (const table of WALLED) {
    await knex.raw(`grant select, insert, update, delete on ${table} to oxlip_walled`)
    await knex.raw(`alter table ${table} enable row level security`)
    await knex.raw(`
      create policy of_workshop on ${table} using (workshop_id = current_workshop()) with check (workshop_id = current_workshop())`)
    await knex.raw(`
      create constraint trigger ${table}_changed after insert or update or delete on ${table}
        deferrable initially deferred for each row execute function note_change('orders')`)
  }
}

export async function down(knex: Knex): Promise<void> {
  await knex.raw('set constraints all immediate')
  for (const table of [...WALLED].reverse()) await knex.raw(`drop table ${table}`)
  await knex.raw('alter table pen_rows drop column gone')
  await knex.raw('alter table pens drop column asked')
  await knex.raw('alter table workshop drop column currency')
}
