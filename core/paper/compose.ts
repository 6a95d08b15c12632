/** Papers composed: leaf after leaf, so that whoever waits sees how far it is and can leave off. */
import { showRecordOf, type Show } from '../show/show'
import { asVenueId } from '../show/ids'
import { carryPages } from './carryPages'
import type { PaperName } from '../show/papers'
import type { PaperChoice, PaperWish } from './choice'
import { cueLists } from './cueLists'
import { differencePages } from './differencePages'
import { fixtureCharts } from './fixtureCharts'
import { hangPlot } from './hangPlot'
import type { Leaf } from './leaf'
import { magicSheet } from './magicSheet'
import { numbersWanted, type NumbersWanted } from './numbersWanted'
import type { PageSize } from './pageSizes'
import { paletteCharts } from './paletteCharts'
import { hookUpSheets, patchSheets } from './patchSheets'
import { travelTroubles } from './travelTroubles'
import { workList } from './workList'

export interface Paper {
  readonly name: PaperName
  readonly leaves: readonly Leaf[]
}

/** The papers of a choice, in its order; yields how many leaves there are so far. Those without a leaf are left out. */
function* compose(show: Show, { size, papers }: PaperChoice): Generator<number, Paper[]> {
  const composed: Paper[] = []
  let count = 0
  for (const wish of papers) {
    const leaves: Leaf[] = []
    for (const leaf of leavesOf(show, size, wish)) {
      if (leaf) leaves.push(leaf)
      yield (count += leaf ? 1 : 0)
    }
    if (leaves.length > 0) composed.push({ name: wish.paper, leaves })
  }
  return composed
}

/** The papers of a choice, all at once; `tell` hears how many leaves there are so far. */
export function composeAll(show: Show, choice: PaperChoice, tell: (leaves: number) => void = () => undefined): Paper[] {
  const composing = compose(show, choice)
  for (;;) {
    const step = composing.next()
    if (step.done === true) return step.value
    tell(step.value)
  }
}

/** Null where nothing is ready yet. */
function leavesOf(show: Show, size: PageSize, wish: PaperWish): Iterable<Leaf | null> {
  switch (wish.paper) {
    case 'palette-charts':
      return paletteCharts(show, size, wanted(wish.numbers))
    case 'fixture-charts':
      return fixtureCharts(show, size, wanted(wish.numbers))
    case 'hang-plot':
      return hangPlot(show, size, wish.scale)
    case 'patch':
      return patchSheets(show)
    case 'hook-up':
      return hookUpSheets(show)
    case 'cue-lists':
      return cueLists(show, wanted(wish.numbers))
    case 'carry-sheet':
      return carryPages(show, size, wanted(wish.numbers), wish.family)
    case 'magic-sheet':
      return magicSheet(show)
    case 'differences': {
      const there = wish.there !== null && show.all.venue.has(wish.there) ? wish.there : otherVenue(show)
      return there === null ? [] : differencePages(show, there)
    }
    case 'work-list':
      return workList(show)
    case 'travel':
      return travelTroubles(show)
  }
}

/** A choice is only made of numbers that can be read. */
function wanted(numbers: string): NumbersWanted {
  return numbersWanted(numbers) ?? (() => false)
}

function otherVenue(show: Show) {
  const { venue } = showRecordOf(show)
  const other = [...show.all.venue.keys()].find((id) => id !== venue)
  return other === undefined ? null : asVenueId(other)
}
