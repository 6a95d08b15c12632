/** A database of its own on a cluster, for a test or a picture, dropped afterwards. */
import { randomUUID } from 'node:crypto'
import pg from 'pg'

export interface FreshDatabase {
  readonly address: string
  drop(): Promise<void>
}

async function administer(cluster: string, statement: string): Promise<void> {
  const client = new pg.Client({ connectionString: cluster })
  await client.connect()
  try {
    await client.query(statement)
  } finally {
    await client.end()
  }
}

/**
 * Makes an empty database, or one that begins as a copy of another to which nothing is connected;
 * `cluster` is the address of any database there.
 */
export async function freshDatabase(cluster: string, copied?: FreshDatabase): Promise<FreshDatabase> {
  const name = `fresh_${randomUUID().replaceAll('-', '')}`
  const template = copied ? ` template ${new URL(copied.address).pathname.slice(1)}` : ''
  await administer(cluster, `create database ${name}${template}`)
  const address = new URL(cluster)
  address.pathname = `/${name}`
  return { address: address.href, drop: () => administer(cluster, `drop database ${name} with (force)`) }
}
