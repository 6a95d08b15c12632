import pg from 'pg'
import type { Cluster } from '../../scripts/database/cluster'

/** The rows a statement brings. */
export async function query(cluster: Pick<Cluster, 'address'>, statement: string): Promise<unknown[]> {
  const client = new pg.Client({ connectionString: cluster.address })
  await client.connect()
  try {
    return (await client.query<object>(statement)).rows
  } finally {
    await client.end()
  }
}
