/** Anything there is by its name, with what can be done with it here. */
import { computed } from 'vue'
import { placeOfCue } from '#core/cues/tracking'
import { find, type Named } from '#core/find/find'
import { namedThings, type ThingRef } from '#core/find/namedThings'
import type { FixtureId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { ACTIONS } from '../../keys/actions'
import { RIG_PARTS, ROOMS } from '../../session/rooms'
import { useAvailableActions } from '../../stores/availableActions'
import { useChosen, type ChosenThing } from '../../stores/chosen'
import { useCuesRoom } from '../../stores/cuesRoom'
import { useStage } from '../../stores/stage'
import { DIALOG_NAMES, useDialogs, type DialogId } from '../../stores/dialogs'
import { useKeyMap } from '../../stores/keys'
import { useShelfView } from '../../stores/shelfView'
import { useSelection } from '../../stores/selection'
import { useShow } from '../../stores/show'

/** Something that can be done with what was found. */
export interface Deed {
  readonly words: string
  readonly run: () => void
}

export interface FindResult extends Named {
  readonly id: string
  readonly deeds: () => readonly [Deed, ...Deed[]]
  /** The key that does the same. */
  readonly key?: string | undefined
}

/** More than anybody reads through. */
const MOST = 40

export function useFindings(show: () => Show, text: () => string) {
  const store = useShow()
  const selection = useSelection()
  const stage = useStage()
  const chosen = useChosen()
  const shelves = useShelfView()
  const cues = useCuesRoom()
  const dialogs = useDialogs()
  const atHand = useAvailableActions()
  const keys = useKeyMap()
  const router = useRouter()

  const isIn = (room: string) => router.currentRoute.value.path.startsWith(`/shows/${show().id}/${room}`)
  const go = (path: string) => void navigateTo(`/shows/${show().id}/${path}`)

  /** Fixtures are seen selected where the stage is drawn. */
  function selecting(fixtures: readonly FixtureId[]): readonly [Deed, Deed] {
    const onStage = (select: (ids: readonly FixtureId[]) => void) => () => {
      select(fixtures)
      if (isIn('cues')) go('focus')
    }
    return [
      { words: 'Select', run: onStage(selection.set) },
      { words: 'Add to the selection', run: onStage(selection.add) },
    ]
  }

  const showing = (thing: ChosenThing): Deed => ({
    words: 'Show it in the rig',
    run: () => {
      chosen.choose(thing)
      go('rig')
    },
  })

  function deedsOf(thing: ThingRef): readonly [Deed, ...Deed[]] {
    const selected = selection.fixtures.length
    switch (thing.kind) {
      case 'fixture':
        return selecting([thing.id])
      case 'group':
        return selecting(thing.fixtures)
      case 'hang':
        return [...selecting(thing.fixtures), showing(thing)]
      case 'set piece':
        return [showing({ kind: 'setPiece', id: thing.id })]
      case 'target': {
        const aim = { words: `Aim the ${selected} selected at it`, run: () => void stage.aimAt(thing.id) }
        return selected > 0 && isIn('focus') ? [aim, showing(thing)] : [showing(thing)]
      }
      case 'palette': {
        const whom = selected > 0 ? `the ${selected} selected` : 'all it serves'
        const look = () => {
          shelves.look(thing.id)
          go('focus')
        }
        const inside = { words: 'Look inside', run: look }
        const recall = { words: `Recall for ${whom}`, run: () => void shelves.recall(thing.id) }
        return isIn('focus') ? [recall, inside] : [inside]
      }
      case 'cue': {
        const look = () => {
          cues.find(thing.id)
          go('cues')
        }
        const list = placeOfCue(show(), thing.id)?.list.id
        const start = () => void (list && store.send('goToCue', { list, cue: thing.id }))
        return [
          { words: 'Look at it', run: look },
          { words: 'Go to it on stage', run: start },
        ]
      }
    }
  }

  const things = computed<readonly FindResult[]>(() =>
    namedThings(show()).map(({ thing, ...named }) => ({
      ...named,
      id: `${thing.kind} ${thing.id}`,
      deeds: () => deedsOf(thing),
    })),
  )
  const called = (
    id: string,
    name: string,
    about: string,
    words: string,
    run: () => void,
    key?: string,
  ): FindResult => ({
    id,
    number: null,
    name,
    about,
    key,
    deeds: () => [{ words, run }],
  })
  /** What can be done here by a key, by its name. */
  const actions = computed(() =>
    ACTIONS.flatMap(({ id, name, section }) => {
      const act = atHand.acts[id]
      return act ? [called(`action ${id}`, name, `action, ${section}`, 'Do it', act, keys.keys.get(id))] : []
    }),
  )
  const ways = computed(() => [
    ...ROOMS.map(({ path, name }) => called(`room ${path}`, name, 'room', 'Go there', () => go(path))),
    ...RIG_PARTS.slice(1).map(({ path, name }) =>
      called(`room rig${path}`, name, 'room, part of the rig', 'Go there', () => go(`rig${path}`)),
    ),
    ...dialogNames.map((id) =>
      called(`dialog ${id}`, DIALOG_NAMES[id], 'dialog', 'Open it', () => (dialogs.open = id)),
    ),
  ])

  return computed(() => find<FindResult>([...things.value, ...actions.value, ...ways.value], text()).slice(0, MOST))
}

/** The keyboard map is an action already. */
const dialogNames = [
  'new show',
  'tables',
  'rig file',
  'cue text',
  'seen tables',
  'history',
  'restore',
  'guide',
] as const satisfies readonly DialogId[]
