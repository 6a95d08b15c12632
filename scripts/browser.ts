/** The browser our tests and pictures drive: Debian's Chromium, without anything that calls home. */
import { existsSync } from 'node:fs'
import { installPackages } from './packages'

export const CHROMIUM = '/usr/bin/chromium'
export const CHROMIUM_FLAGS = [
  '--no-sandbox',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--disable-dev-shm-usage',
  '--disable-gpu',
  // Space gets its WebGL from the processor where there is no graphics card.
  '--enable-unsafe-swiftshader',
]

/** Installs Chromium from Debian's packages where it is missing and we may. */
export function ensureChromium(say: (line: string) => void): void {
  if (existsSync(CHROMIUM)) return
  if (process.getuid?.() !== 0)
    throw new Error(
      'Chromium is not installed. Ask for it to be installed (on Debian: apt-get install chromium) and run this again.',
    )
  say('Installing Chromium from Debian’s packages.')
  installPackages(['chromium'])
}
