/** The output thread as the servers under test start it. */
export const OUTPUT_THREAD = new URL('../node_modules/.cache/rhopander/outputThread.mjs', import.meta.url)
