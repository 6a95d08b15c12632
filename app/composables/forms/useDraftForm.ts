/**
 * A form that is filled in and then sent as one command. What it would be refused for is said at
 * its fields once it has been tried; until then nobody is told off for a form not yet filled in.
 */
import { computed, ref } from 'vue'
import type { CommandInput, CommandName } from '#core/commands/registry'
import type { Outcome, Refusal } from '#core/commands/command'
import { refusalWords } from './refusalWords'
import { useShow } from '../../stores/show'

const INCOMPLETE: Outcome = { ok: false, refusal: { code: 'incomplete', message: 'Something is not chosen yet.' } }

/** `input` gives null as long as something has not been chosen. */
export function useDraftForm<N extends CommandName>(name: N, input: () => CommandInput<N> | null, done: () => void) {
  const show = useShow()
  const isTried = ref(false)
  const answered = ref<Refusal | null>(null)
  const outcome = computed(() => {
    const values = input()
    return values ? show.attempt(name, values) : INCOMPLETE
  })
  const refusal = computed(() => answered.value ?? (outcome.value.ok ? null : outcome.value.refusal))
  /** What it will do, in words; empty while it would be refused. */
  const label = computed(() => (outcome.value.ok ? outcome.value.label : ''))

  /** The reason at a field, or with null the reason that is about none of the `fields`. */
  function troubleAt(field: string | null, fields: readonly string[] = []): string | null {
    if (!isTried.value || !refusal.value) return null
    const about = refusal.value.field?.split('.')[0] ?? null
    const isMine = field === null ? about === null || !fields.includes(about) : about === field
    return isMine ? refusalWords(refusal.value) : null
  }

  async function send() {
    isTried.value = true
    answered.value = null
    const values = input()
    if (!outcome.value.ok || !values) return
    answered.value = await show.ask(name, values)
    if (answered.value) return
    isTried.value = false
    done()
  }

  return { label, troubleAt, send }
}
