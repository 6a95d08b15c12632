/** Starts a cluster in the folder it is given and waits to be killed. */
import { startCluster } from '../../scripts/database/cluster'

const [, , folder = ''] = process.argv
console.log('begun')
await startCluster(folder, () => undefined)
setInterval(() => undefined, 60_000)
