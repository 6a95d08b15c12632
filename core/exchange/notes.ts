/** What a reader says of what it read, so that nothing is left out in silence. */
export interface Note {
  /** What it is about, as the file calls it. */
  readonly about: string
  readonly message: string
  /** `lost` does not come in; `look` comes in, but wants a look. */
  readonly severity: 'lost' | 'look'
}

/** Notes as they are gathered; the same is said once. */
export class Notes {
  readonly all: Note[] = []
  readonly #said = new Set<string>()

  look(about: string, message: string): void {
    this.#say({ about, message, severity: 'look' })
  }

  lost(about: string, message: string): void {
    this.#say({ about, message, severity: 'lost' })
  }

  #say(note: Note): void {
    const key = `${note.about}\n${note.message}`
    if (this.#said.has(key)) return
    this.#said.add(key)
    this.all.push(note)
  }
}
