import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { expect, it } from 'vitest'

/** Runs a script whose errors nobody reads any more; resolves to its exit code. */
async function unheard(script: string): Promise<unknown> {
  const child = spawn(process.execPath, ['--import', 'tsx', '--input-type=module', '-e', script], {
    stdio: ['pipe', 'ignore', 'pipe'],
  })
  child.stderr.destroy()
  await once(child.stderr, 'close')
  child.stdin.end()
  const [code] = await once(child, 'exit')
  return code
}

it('keeps no process from its end when nobody reads it any more', async () => {
  const script = `
    import { log } from './server/http/log.ts'
    process.stdin.resume().on('end', () => {
      log.warn('the starter is gone')
      log.warn('and one more, which waits for the first')
      process.exit(7)
    })`
  expect(await unheard(script)).toBe(7)
}, 20_000)

it('says what and where, without values', async () => {
  const child = spawn(
    process.execPath,
    [
      '--import',
      'tsx',
      '--input-type=module',
      '-e',
      `import { log } from './server/http/log.ts'
       log.warn(new Error('insert into palette values (1) - the name "Dory" is taken'), 'not kept')`,
    ],
    { stdio: ['ignore', 'ignore', 'pipe'] },
  )
  const [said] = await Promise.all([child.stderr.toArray(), once(child, 'exit')])
  expect(JSON.parse(Buffer.concat(said).toString())).toMatchObject({
    err: { message: 'the name … is taken' },
    msg: 'not kept',
  })
}, 20_000)
