/** Short words to the person: what went wrong, what was kept, what to do. */
import { defineStore } from 'pinia'
import { ref } from 'vue'

export interface Message {
  readonly id: number
  readonly tone: 'trouble' | 'news'
  readonly text: string
  readonly actions: readonly { readonly label: string; readonly run: () => void }[]
}

const NEWS_STAYS = 6000

export const useMessages = defineStore('messages', () => {
  const list = ref<Message[]>([])
  let next = 1

  function drop(id: number) {
    list.value = list.value.filter((message) => message.id !== id)
  }

  function say(text: string, tone: Message['tone'] = 'news', actions: Message['actions'] = []) {
    const id = next++
    list.value = [...list.value.filter((message) => message.text !== text), { id, tone, text, actions }].slice(-3)
    if (tone === 'news') setTimeout(() => drop(id), NEWS_STAYS)
  }

  return { list, say, drop }
})
