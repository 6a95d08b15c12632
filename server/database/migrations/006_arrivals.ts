/** Values in hand that come in over a time. */
import type { Knex } from 'knex'

const STATEMENTS = [
  `alter table hand_value
    add column arrival_started_at bigint check (arrival_started_at >= 0),
    add column arrival_seconds double precision check (arrival_seconds > 0),
    add column arrival_from jsonb check (arrival_from ->> 'kind' in ('aim','angles','number')),
    add constraint hand_value_arrival_whole
      check (num_nulls(arrival_started_at, arrival_seconds, arrival_from) in (0, 3))`,
  ...['after', 'before'].map(
    (side) => `update journal_write set ${side} = ${side} || '{"arrival":null}'::jsonb
      where register like 'handValue/%' and ${side} is not null`,
  ),
]

export async function up(knex: Knex): Promise<void> {
  // Rows changed below carry deferred checks, which would keep the tables from being altered.
  await knex.raw('set constraints all immediate')
  for (const statement of STATEMENTS) await knex.raw(statement)
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}
