/** Shows in which controls are to be heard, whether anybody has them open or not. */
import type { Knex } from 'knex'
import { showId, type ShowId } from '#core/show/ids'

export async function showsWithControls(knex: Knex): Promise<ShowId[]> {
  const rows: { show_id: unknown }[] = await knex('control_line').where({ is_on: true }).select('show_id')
  return rows.map((row) => showId.parse(row.show_id))
}
