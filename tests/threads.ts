/** The threads as the servers under test start them. */
const built = (name: string) => new URL(`../node_modules/.cache/rhopander/${name}.mjs`, import.meta.url)

export const OUTPUT_THREAD = built('outputThread')
export const INPUT_THREAD = built('inputThread')
/** Both threads of a registry of shows. */
export const THREADS_OF_HOUSE = { outputThread: OUTPUT_THREAD, inputThread: INPUT_THREAD }
export const VERSION_THREAD = built('versionThread')
