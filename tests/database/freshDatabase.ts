/** A database of its own for a test file, on the cluster that `npm test` started. */
import { randomUUID } from 'node:crypto'
import pg from 'pg'
import { z } from 'zod'

const { RHOPANDER_TEST_DATABASE } = z.object({ RHOPANDER_TEST_DATABASE: z.url() }).parse(process.env)

async function administer(statement: string): Promise<void> {
  const client = new pg.Client({ connectionString: RHOPANDER_TEST_DATABASE })
  await client.connect()
  try {
    await client.query(statement)
  } finally {
    await client.end()
  }
}

export interface FreshDatabase {
  readonly address: string
  drop(): Promise<void>
}

export async function freshDatabase(): Promise<FreshDatabase> {
  const name = `test_${randomUUID().replaceAll('-', '')}`
  await administer(`create database ${name}`)
  const address = new URL(RHOPANDER_TEST_DATABASE)
  address.pathname = `/${name}`
  return { address: address.href, drop: () => administer(`drop database ${name} with (force)`) }
}
