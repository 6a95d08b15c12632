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

/** Makes an empty database; `cluster` is the address of any database there. */
export async function freshDatabase(cluster: string): Promise<FreshDatabase> {
  const name = `fresh_${randomUUID().replaceAll('-', '')}`
  await administer(cluster, `create database ${name}`)
  const address = new URL(cluster)
  address.pathname = `/${name}`
  return { address: address.href, drop: () => administer(cluster, `drop database ${name} with (force)`) }
}
