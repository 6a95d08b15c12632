/** Faults of the machine in one sentence for the person who starts it. */

const WORDS: Readonly<Record<string, string>> = {
  EACCES: 'may not be written or read by this user. Start as the user it belongs to',
  EPERM: 'may not be changed by this user. Start as the user it belongs to',
  EROFS: 'is on a disk that can only be read. Move the project where it can be written',
  ENOENT:
    'is not there and cannot be made there: what is above it is missing or can only be read. Choose a place that can be written',
  ENOSPC: 'cannot be written: the disk is full. Make room',
  EDQUOT: 'cannot be written: this user’s part of the disk is full. Make room',
  ENOTDIR: 'is no folder, or a file is where a folder should be. Move it elsewhere',
}

/** What went wrong and what to do. */
export function inWords(error: unknown): string {
  if (!(error instanceof Error)) return String(error)
  const { code, path }: NodeJS.ErrnoException = error
  const words = code && WORDS[code]
  return words ? `${path ?? 'The disk'} ${words}, and start again.` : error.message
}
