/** A pair of hands that counts what it does: presses, drags, keys, and words that are typed. */
import type { Locator, Page } from '@playwright/test'

interface Point {
  readonly x: number
  readonly y: number
}

/** The middle of something on the screen. */
export async function middleOf(thing: Locator): Promise<Point> {
  const box = await thing.boundingBox()
  if (!box) throw new Error('it is not on the screen')
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 }
}

export class GestureCounter {
  #done = { presses: 0, drags: 0, keys: 0, words: 0 }

  constructor(readonly page: Page) {}

  get total(): number {
    const { presses, drags, keys, words } = this.#done
    return presses + drags + keys + words
  }

  inWords(): string {
    return Object.entries(this.#done)
      .filter(([, count]) => count > 0)
      .map(([what, count]) => `${count} ${count === 1 ? what.replace(/s$/, '').replace('presse', 'press') : what}`)
      .join(', ')
  }

  async press(thing: Locator): Promise<void> {
    this.#done.presses += 1
    await thing.click()
  }

  /** Chooses from a list that opens: one press of a person who knows what they want. */
  async choose(list: Locator, label: string): Promise<void> {
    this.#done.presses += 1
    await list.selectOption({ label })
  }

  async key(name: string): Promise<void> {
    this.#done.keys += 1
    await this.page.keyboard.press(name)
  }

  /** A selection that is typed counts two: its words, and Enter. */
  async select(entry: string): Promise<void> {
    this.#done.words += 1
    await this.page.keyboard.type(entry)
    await this.key('Enter')
  }

  async drag(from: Point, to: Point): Promise<void> {
    this.#done.drags += 1
    const { mouse } = this.page
    await mouse.move(from.x, from.y)
    await mouse.down()
    await mouse.move((from.x + to.x) / 2, (from.y + to.y) / 2, { steps: 4 })
    await mouse.move(to.x, to.y, { steps: 4 })
    await mouse.up()
  }
}
