/** A database of its own on a cluster, for a test or a picture, dropped afterwards. */
import { randomUUID } from 'node:crypto'
import pg from 'pg'

export interface FreshDatabase {
  readonly address: string
  drop(): Promise<void>
}

async function administer(cluster: string, work: (client: pg.Client) => Promise<unknown>): Promise<void> {
  const client = new pg.Client({ connectionString: cluster })
  await client.connect()
  try {
    await work(client)
  } finally {
    await client.end()
  }
}

/**
 * Dropping by force is refused while the cluster's own vacuuming is in there, which belongs to nobody
 * we may end; a plain drop asks that to leave by itself, once our own connections have ended.
 */
async function drop(client: pg.Client, name: string): Promise<void> {
  await client.query(
    'select pg_terminate_backend(pid, 5000) from pg_stat_activity where datname = $1 and usename = current_user',
    [name],
  )
  await client.query(`drop database ${name}`)
}

/** Makes an empty database; `cluster` is the address of any database there. */
export async function freshDatabase(cluster: string): Promise<FreshDatabase> {
  const name = `fresh_${randomUUID().replaceAll('-', '')}`
  await administer(cluster, (client) => client.query(`create database ${name}`))
  const address = new URL(cluster)
  address.pathname = `/${name}`
  return { address: address.href, drop: () => administer(cluster, (client) => drop(client, name)) }
}
