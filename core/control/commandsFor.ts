/** The commands that what a control asks for comes to. */
import type { CommandInput, CommandName } from '../commands/registry'
import { LEADING } from '../attributes/catalogue'
import { FAMILIES } from '../attributes/families'
import type { FixtureId } from '../show/ids'
import type { Deed } from './deed'

/** A command with what it is given. */
export type AskedCommand = {
  readonly [N in CommandName]: { readonly name: N; readonly input: CommandInput<N> }
}[CommandName]

const NONE_SELECTED = { trouble: 'Nothing is selected. Select fixtures in the window, or by /select.' }

/** Commands in order, or why there are none. Fixtures are those that are selected. */
export function commandsFor(
  deed: Exclude<Deed, { readonly does: 'select' }>,
  selected: readonly FixtureId[],
): readonly AskedCommand[] | { readonly trouble: string } {
  const fixtures = [...selected]
  switch (deed.does) {
    case 'go':
      return [{ name: 'goOn', input: { list: deed.list } }]
    case 'back':
      return [{ name: 'goBack', input: { list: deed.list } }]
    case 'pause':
      return [{ name: 'pauseList', input: { list: deed.list } }]
    case 'cue':
      return [{ name: 'goToCue', input: { list: deed.list, cue: deed.cue, seconds: null } }]
    case 'list master':
      return [{ name: 'setMaster', input: { list: deed.list, level: deed.level } }]
    case 'grand master':
      return deed.outputs.map((output) => ({ name: 'changeOutput', input: { output, level: deed.level } }))
    case 'recall':
      return [
        { name: 'recallPalette', input: { palette: deed.palette, fixtures: fixtures.length > 0 ? fixtures : null } },
      ]
    case 'nudge':
      return fixtures.length > 0 ? [{ name: 'nudgeAim', input: { fixtures, by: deed.by } }] : NONE_SELECTED
    case 'level': {
      const change = { how: 'to' as const, number: deed.level }
      if (fixtures.length === 0) return NONE_SELECTED
      return [{ name: 'changeValues', input: { fixtures, attribute: LEADING.light, change } }]
    }
    case 'clear':
      return [{ name: 'clearHand', input: { families: [...FAMILIES], fixtures: null } }]
  }
}
