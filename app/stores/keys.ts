/** Which key does what in this browser. */
import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import { ACTIONS, whyNot, type ActionId } from '../keys/actions'

export const useKeyMap = defineStore('keys', () => {
  /** Only what differs from the first keys. */
  const changed = useLocalStorage<Partial<Record<ActionId, string>>>('rhopander-keys', {})
  const keys = computed(() => new Map<ActionId, string>(ACTIONS.map(({ id, key }) => [id, changed.value[id] ?? key])))
  /** A key somebody gave an action is that action's, whatever it is at first. */
  const actionOf = computed(() => {
    const byGiven = [...keys.value].sort(([a], [b]) => Number(a in changed.value) - Number(b in changed.value))
    return new Map<string, ActionId>(byGiven.map(([id, key]) => [key, id]))
  })

  /** Gives an action a key; returns why not, where it cannot have it. */
  function bind(action: ActionId, key: string): string | null {
    const refusal = whyNot(key, action, keys.value)
    if (refusal === null) changed.value = { ...changed.value, [action]: key }
    return refusal
  }

  function reset() {
    changed.value = {}
  }

  return { keys, actionOf, changed, bind, reset }
})
