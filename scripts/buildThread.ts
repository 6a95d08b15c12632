/** Makes one script of a thread of the server, with all it needs but what the server has beside it. */
import { build } from 'esbuild'

export async function buildThread(entry: string, outfile: string): Promise<void> {
  await build({
    entryPoints: [entry],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    logLevel: 'warning',
    external: ['knex'],
    // Packages of the older kind ask for Node's own modules while they run.
    banner: {
      js: "import { createRequire as requireFrom } from 'node:module';const require = requireFrom(import.meta.url);",
    },
  })
}

/** The threads of the server, and the stand-in rig, by the names of their scripts. */
export const THREADS = {
  outputThread: 'server/output/outputThread.ts',
  inputThread: 'server/input/inputThread.ts',
  restoreThread: 'server/exchange/restoreThread.ts',
  versionThread: 'server/exchange/versionThread.ts',
  rigThread: 'server/exchange/rigThread.ts',
  writeRigThread: 'server/exchange/writeRigThread.ts',
  standIn: 'server/standIn/program.ts',
} as const
