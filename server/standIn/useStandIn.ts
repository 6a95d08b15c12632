/** The stand-in rig of this server process. */
import { fileURLToPath } from 'node:url'
import { StandIn } from './standIn'

let standIn: StandIn | null = null

/** The build puts the program beside the server; where that is, is known only once the server has been loaded. */
export function useStandIn(): StandIn {
  standIn ??= new StandIn(fileURLToPath(new URL('./standIn.mjs', import.meta.url)))
  return standIn
}
