/** A migration made of statements. It is never taken back. */
import type { Knex } from 'knex'

export function forward(statements: readonly string[]): Required<Pick<Knex.Migration, 'up' | 'down'>> {
  return {
    async up(knex) {
      // Rows changed below carry deferred checks, which would keep the tables from being altered.
      await knex.raw('set constraints all immediate')
      for (const statement of statements) await knex.raw(statement)
    },
    async down() {
      throw new Error('migrations only go forward')
    },
  }
}
