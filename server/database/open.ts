/** One pool of connections, migrated before anything uses it. */
import createKnex, { type Knex } from 'knex'
import { migrationSource } from './migrations'

/** Opens a database by its address and brings it to the newest migration; throws what the database does. */
export async function openDatabase(address: string): Promise<Knex> {
  const knex = createKnex({ client: 'pg', connection: address, pool: { min: 1, max: 8 } })
  try {
    await knex.migrate.latest({ migrationSource })
    return knex
  } catch (error) {
    await knex.destroy()
    throw error
  }
}
