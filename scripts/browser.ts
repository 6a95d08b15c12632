/** The browser our tests and pictures drive: Debian's Chromium, without anything that calls home. */
import { existsSync } from 'node:fs'
import { installPackages } from './packages'

/** Chromium without a window of its own: the same engine, and tests take two thirds of the time. */
const SHELL = '/usr/bin/chromium-headless-shell'
const WHOLE = '/usr/bin/chromium'
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

/** Where the browser is: without a window where that is installed, else the whole one. */
export const chromiumPath = (): string => [SHELL, WHOLE].find((path) => existsSync(path)) ?? SHELL

/** Installs Chromium from Debian's packages where it is missing and we may. */
export function ensureChromium(say: (line: string) => void): void {
  const mayInstall = process.getuid?.() === 0
  const hasWhole = existsSync(WHOLE)
  if (existsSync(SHELL) || (hasWhole && !mayInstall)) return
  if (!mayInstall)
    throw new Error(
      'Chromium is not installed. Ask for it to be installed (on Debian: apt-get install chromium-headless-shell) and run this again.',
    )
  say('Installing Chromium from Debian’s packages.')
  try {
    installPackages(['chromium-headless-shell'])
  } catch (error) {
    if (!hasWhole) throw error
    say('Going on with the Chromium that is there, which takes longer.')
  }
}
