/** Makes one script of the thread that works out what goes out, with all it needs. */
import { build } from 'esbuild'

export async function buildOutputThread(outfile: string): Promise<void> {
  await build({
    entryPoints: ['server/output/outputThread.ts'],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    logLevel: 'warning',
  })
}
