/** What is asked for as a proposal: tried, sent, and whether anything leans on it. */
import type { Outcome } from '#core/commands/command'
import type { CommandInput, CommandName } from '#core/commands/registry'
import type { Effects } from '#core/refocus/effects'
import { hasExclusions, NO_EXCLUSIONS, type Exclusions } from '#core/refocus/exclusions'
import type { ShowId } from '#core/show/ids'
import { useConfirmed } from './confirmed'
import { useShow } from './show'

/** What is shown before it is done because palettes or cues may lean on it. */
export type StageChange = Extract<
  CommandName,
  | 'moveTarget'
  | 'moveTargetByTouchUps'
  | 'moveSetPiece'
  | 'moveHang'
  | 'setInVenues'
  | 'switchVenue'
  | 'changeCueList'
  | 'changeFixtures'
  | 'changeGroup'
  | 'copyCues'
  | 'deleteCueList'
  | 'deleteCues'
  | 'followAgain'
  | 'linkLoose'
  | 'moveCues'
  | 'replaceFixture'
  | 'replacePaletteInCues'
  | 'changeTarget'
  | 'changeType'
  | 'pasteFixtures'
  | 'deletePalettes'
  | 'keepPalette'
  | 'removeFromPalette'
  | 'splitPalette'
  | 'takeOverValues'
  | 'takeRig'
  | 'trueUp'
  | 'correctRig'
  | 'spreadPalette'
  | 'storeInPalette'
  | 'updatePalettes'
>

export interface AskedChange {
  readonly change: StageChange
  readonly attempt: (excluded: Exclusions) => Outcome
  readonly send: (excluded: Exclusions) => Promise<boolean>
  readonly settled: boolean
  /** The show it was asked for in. */
  readonly show: ShowId | null
}

/** Whether a change carries nothing along. */
export function isEmpty({ palettes, changed, cues, losingReach, absent, staysBehind, looks }: Effects): boolean {
  const parts = [palettes, changed, cues, losingReach, absent, staysBehind, looks]
  return parts.every(({ length }) => length === 0)
}

export function useAsking() {
  const show = useShow()
  const ground = useConfirmed()

  const keeping = <N extends StageChange>(
    name: N,
    input: CommandInput<N>,
    { fixtures, cues, families }: Exclusions,
  ) => ({
    name,
    input,
    keepOut: { fixtures: [...fixtures], cues: [...cues], families: [...families] },
  })

  const asking = <N extends StageChange>(name: N, input: CommandInput<N>, settled: boolean): AskedChange => ({
    change: name,
    attempt: (out) =>
      hasExclusions(out) ? show.attempt('keepingOut', keeping(name, input, out)) : show.attempt(name, input),
    send: (out) => (hasExclusions(out) ? show.send('keepingOut', keeping(name, input, out)) : show.send(name, input)),
    settled,
    show: show.view?.id ?? null,
  })

  /** Of something that is no longer asked for, on the show as it is by then; it goes back to the show it was offered in, or nowhere. */
  async function nothingLeansOn(one: AskedChange): Promise<boolean> {
    for (;;) {
      const before = show.view
      if (!before || before.id !== one.show) return false
      const done = one.attempt(NO_EXCLUSIONS)
      if (!done.ok || done.changes.length === 0) return true
      const { effects } = await ground.consequences(before, done.after(), true)
      if (show.view === before) return isEmpty(effects)
    }
  }

  return { asking, nothingLeansOn }
}
