/** Adds a cue list. */
import { Draft } from '../../show/draft'
import { cueList, type CueList } from '../../show/entities'
import { FAMILIES } from '../../attributes/families'
import { cueListId } from '../../show/ids'
import { command, done, refuse } from '../command'

/** A list as it is at first: it takes everything, at full, and nothing of it is on stage. */
export const PLAIN_LIST: Omit<CueList, 'number' | 'name'> = {
  intensityRule: 'highest',
  priority: 5,
  level: 1,
  take: [...FAMILIES],
  heldBack: [],
  onStage: null,
  pausedAt: null,
  travel: null,
}

export const addCueList = command({
  input: cueList
    .pick({ number: true, name: true, intensityRule: true })
    .extend(cueList.pick({ priority: true, take: true, heldBack: true }).partial().shape),
  undoable: true,
  run(show, input, { newId }) {
    for (const known of show.all.cueList.values())
      if (known.number === input.number)
        return refuse('number taken', { kind: 'cueList', number: input.number, by: known.name }, 'number')
    const draft = new Draft(show).put('cueList', cueListId.parse(newId()), {
      ...PLAIN_LIST,
      ...input,
      priority: input.priority ?? PLAIN_LIST.priority,
      take: input.take ?? PLAIN_LIST.take,
      heldBack: input.heldBack ?? PLAIN_LIST.heldBack,
    })
    return done(draft, `add cue list ${input.name}`)
  },
})
