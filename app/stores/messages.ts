/** Short words to the person: what went wrong, what was kept, what to do. */
import { defineStore } from 'pinia'
import { ref } from 'vue'

export interface Message {
  readonly id: number
  readonly tone: 'trouble' | 'news'
  readonly text: string
  readonly actions: readonly { readonly label: string; readonly run: () => void }[]
  /** The command it says could not be done; null where it is about none. */
  readonly about: string | null
}

const NEWS_STAYS = 6000
/** Of news the last few are enough; trouble stays until it is read. */
const MOST = { news: 3, trouble: 60 }

export const useMessages = defineStore('messages', () => {
  const list = ref<Message[]>([])
  let next = 1

  function drop(id: number) {
    list.value = list.value.filter((message) => message.id !== id)
  }

  function say(
    text: string,
    tone: Message['tone'] = 'news',
    actions: Message['actions'] = [],
    about: Message['about'] = null,
  ) {
    const id = next++
    const others = list.value.filter((message) => message.text !== text)
    const spare = others.filter((message) => message.tone === tone).slice(0, 1 - MOST[tone])
    list.value = [...others.filter((message) => !spare.includes(message)), { id, tone, text, actions, about }]
    if (tone === 'news') setTimeout(() => drop(id), NEWS_STAYS)
  }

  /** Says why a command could not be done; it stays until it is read, or done after all. */
  function refuse(command: string, why: string) {
    say(why, 'trouble', [], command)
  }

  /** A command was done: that it could not be before is no trouble any more. */
  function settle(command: string) {
    if (list.value.some(({ about }) => about === command))
      list.value = list.value.filter(({ about }) => about !== command)
  }

  return { list, say, refuse, settle, drop }
})
