/** Hands something over as a file. */
export function saveFile(name: string, contents: Blob): void {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(contents)
  link.download = name
  link.click()
  URL.revokeObjectURL(link.href)
}
