/** Answers the polls of Art-Net: who asks around is told what is sent from here. */
import { createSocket, type Socket } from 'node:dgram'
import { ART_NET_PORT, decodeArtNet, encodeReplies } from '#core/output/wire/artNet'
import { LOOPBACK } from '#core/show/entities'

/** What is told of a sender: the interface it sends from, its name, its port addresses. */
export interface PollAnswer {
  readonly from: string
  readonly name: string
  readonly ports: readonly number[]
}

/** More polls than this in a second are not answered: nobody asks so often in earnest. */
const MOST_A_SECOND = 50

export class PollAnswers {
  #socket: Socket | null = null
  #address: string | null = null
  #answered = 0
  #since = 0
  /** Why polls cannot be heard, in a sentence. */
  trouble: string | null = null

  constructor(private readonly answers: () => readonly PollAnswer[]) {}

  /** Listens where something is sent by Art-Net: to this machine alone as long as nothing goes further. */
  listen(): void {
    const froms = this.answers().map(({ from }) => from)
    const address = froms.length === 0 ? null : froms.every((from) => from === LOOPBACK) ? LOOPBACK : '0.0.0.0'
    if (address === this.#address) return
    this.close()
    this.#address = address
    if (address !== null) this.#open(address)
  }

  #open(address: string): void {
    const socket = createSocket({ type: 'udp4', reuseAddr: true })
    this.#socket = socket
    socket.on('error', (error) => {
      this.trouble = `Polls of Art-Net are not heard: ${error.message}.`
      if (this.#socket === socket) this.#socket = null
      socket.close()
    })
    socket.on('message', (bytes, { address: asker, port }) => {
      if (decodeArtNet(bytes)?.kind !== 'poll' || !this.#mayAnswer()) return
      for (const { from, name, ports } of this.answers())
        for (const reply of encodeReplies({ address: from, shortName: 'Rhopander', longName: name, ports }))
          socket.send(reply, port, asker, () => undefined)
    })
    socket.bind({ address, port: ART_NET_PORT }, () => (this.trouble = null))
  }

  #mayAnswer(): boolean {
    const second = Math.floor(performance.now() / 1000)
    if (second !== this.#since) [this.#since, this.#answered] = [second, 0]
    this.#answered += 1
    return this.#answered <= MOST_A_SECOND
  }

  close(): void {
    this.#socket?.close()
    this.#socket = null
    this.#address = null
    this.trouble = null
  }
}
