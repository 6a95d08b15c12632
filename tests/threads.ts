/** The threads as the servers under test start them. */
const built = (name: string) => new URL(`../node_modules/.cache/rhopander/${name}.mjs`, import.meta.url)

export const OUTPUT_THREAD = built('outputThread')
export const VERSION_THREAD = built('versionThread')
