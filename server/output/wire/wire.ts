/** Everything that goes out of one show over the network: a sender for each output that is on. */
import { mastered } from '#core/output/mastered'
import type { Universes } from '#core/output/channelLevels'
import type { OutputStatus } from '#core/output/sendingStatus'
import type { Output } from '#core/show/entities'
import { asOutputId, type OutputId } from '#core/show/ids'
import { showRecordOf, type Show } from '#core/show/show'
import { Line } from './line'
import { packetsOf, sourceIdOf } from './packets'
import { PollAnswers } from './pollAnswers'
import { Sender } from './sender'

interface Going {
  readonly output: Output
  readonly sender: Sender
}

/** What an output is but for its name and its light: another of these is another sender. */
const settingsOf = ({ protocol, first, last, sentAs, addresses, from, priority, sync, sourceName }: Output) =>
  JSON.stringify([protocol, first, last, sentAs, addresses, from, priority, sync, sourceName])

export class Wire {
  readonly #going = new Map<OutputId, Going>()
  readonly #lines = new Map<string, Line>()
  readonly #polls = new PollAnswers(() => this.#answers())
  #showName = ''

  /** `installation` is what this database is told from others by: receivers know the outputs by it. */
  constructor(private readonly installation: string) {}

  /** Sends levels as the show's outputs have it. */
  send(show: Show, levels: Universes): void {
    this.#showName = showRecordOf(show).name
    this.#setUp(show)
    for (const { output, sender } of this.#going.values())
      sender.offer(mastered(show, levels, output.isBlack ? 0 : output.level))
  }

  /** Begins and ends senders where outputs are others than they were. */
  #setUp(show: Show): void {
    for (const [id, { sender }] of this.#going) {
      const output = show.all.output.get(id)
      if (output?.isOn && settingsOf(output) === settingsOf(this.#going.get(id)?.output ?? output)) continue
      sender.close(true)
      this.#going.delete(id)
    }
    for (const [key, output] of show.all.output) {
      if (!output.isOn) continue
      const id = asOutputId(key)
      const sender = this.#going.get(id)?.sender ?? this.#senderOf(id, output)
      this.#going.set(id, { output, sender })
    }
    this.#closeUnused()
    this.#polls.listen()
  }

  #senderOf(id: OutputId, output: Output): Sender {
    const line = this.#lines.get(output.from) ?? new Line(output.from)
    this.#lines.set(output.from, line)
    return new Sender(output, packetsOf(output, sourceIdOf(this.installation, id)), line)
  }

  #closeUnused(): void {
    const used = new Set([...this.#going.values()].map(({ output }) => output.from))
    for (const [from, line] of this.#lines)
      if (!used.has(from)) {
        this.#lines.delete(from)
        line.close()
      }
  }

  #answers() {
    return [...this.#going.values()].flatMap(({ output, sender }) =>
      output.protocol === 'Art-Net'
        ? { from: output.from, name: `Rhopander: ${this.#showName}`, ports: sender.numbers }
        : [],
    )
  }

  /** How each output does since it was asked last. */
  tell(): OutputStatus[] {
    return [...this.#going].map(
      ([
        output,
        {
          sender,
          output: { protocol },
        },
      ]) => {
        const told = sender.tell()
        const trouble = told.trouble ?? (protocol === 'Art-Net' ? this.#polls.trouble : null)
        return { output, ...told, trouble }
      },
    )
  }

  /** Ends all of it; with a goodbye where no other server sends on. */
  close(withGoodbye: boolean): void {
    for (const { sender } of this.#going.values()) sender.close(withGoodbye)
    this.#going.clear()
    this.#polls.close()
    for (const line of this.#lines.values()) line.close()
    this.#lines.clear()
  }
}
