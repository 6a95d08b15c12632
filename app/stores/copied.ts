/** The fixture whose values were copied, for pasting onto others. */
import { defineStore } from 'pinia'
import { ref } from 'vue'
import { FAMILIES } from '#core/attributes/families'
import { numberOfFixture } from '#core/show/cells'
import type { FixtureId } from '#core/show/ids'
import { useMessages } from './messages'
import { useSelection } from './selection'
import { useShow } from './show'

/** What is pasted: where each fixture points stays its own. */
const PASTED = FAMILIES.filter((family) => family !== 'position')

export const useCopied = defineStore('copied', () => {
  const show = useShow()
  const selection = useSelection()
  const messages = useMessages()
  const source = ref<FixtureId | null>(null)

  /** Notes the first fixture that is worked on. */
  function copy() {
    const [first] = selection.fixtures
    if (!first) return messages.say('Select the fixture to copy from first.')
    source.value = first
    const number = show.view ? numberOfFixture(show.view, first) : ''
    messages.say(`Copied what fixture ${number} shows. Select others and paste: all but position comes.`)
  }

  /** Gives the selection what the noted fixture shows now. */
  async function paste(as: 'link' | 'loose') {
    const from = source.value
    if (!from) return messages.say('Nothing was copied yet. Select a fixture and copy it first.')
    const to = selection.fixtures.filter((id) => id !== from)
    if (to.length === 0) return messages.say('Select the fixtures to paste onto.')
    await show.send('copyValues', { from, to, families: PASTED, as })
  }

  return { source, copy, paste }
})
