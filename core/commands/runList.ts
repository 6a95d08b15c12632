/** Running a list: on to the next cue, back to the one before, pause, what follows by itself, its master. */
import { z } from 'zod'
import { followerOf, resume, startCue, startedTogether } from '../cues/going'
import { lengthOf } from '../cues/times'
import { placeOfCue } from '../cues/tracking'
import { Draft } from '../show/draft'
import { cueList } from '../show/entities'
import { cueId, cueListId } from '../show/ids'
import { command, done, refuse } from './command'
import { cueListOf, noList } from './cueListOf'

const ofList = z.strictObject({ list: cueListId })

/** Runs on where a list was paused, else starts its next cue in its own times. */
export const goOn = command({
  input: ofList,
  undoable: false,
  run(show, { list: id }, { now, newId }) {
    const list = cueListOf(show, id)
    if (!list) return noList()
    const { onStage, pausedAt, name } = list.list
    const draft = new Draft(show)
    if (pausedAt !== null) {
      resume(show, draft, list, now)
      return done(draft, `run ${name} on`)
    }
    const next = list.cues[onStage === null ? 0 : (placeOfCue(show, onStage)?.at ?? -1) + 1]
    if (!next) return refuse('at the end', `${name} is at its last cue.`, 'list')
    startCue(show, draft, list, next.id, { now, seconds: null, newId })
    return done(draft, `go: cue ${next.cue.number}`)
  },
})

/** Starts the cue before the one on stage, and before those it came with, in the time that took. */
export const goBack = command({
  input: ofList,
  undoable: false,
  run(show, { list: id }, { now, newId }) {
    const list = cueListOf(show, id)
    if (!list) return noList()
    const together = startedTogether(show, list)
    const [first] = together
    const before = first && list.cues[(placeOfCue(show, first.id)?.at ?? 0) - 1]
    if (!before) return refuse('at the start', `${list.list.name} is at its first cue.`, 'list')
    const draft = new Draft(show)
    const seconds = Math.max(...together.map((cue) => lengthOf(show, cue.id)))
    startCue(show, draft, list, before.id, { now, seconds, newId })
    return done(draft, `back: cue ${before.cue.number}`)
  },
})

/** Stops what a list is doing, where it is. */
export const pauseList = command({
  input: ofList,
  undoable: false,
  run(show, { list: id }, { now }) {
    const list = cueListOf(show, id)
    if (!list) return noList()
    if (list.list.pausedAt !== null) return done(new Draft(show), `pause ${list.list.name}`)
    return done(new Draft(show).set('cueList', list.id, 'pausedAt', now), `pause ${list.list.name}`)
  },
})

/** What the clock does when a cue has arrived: starts the one that comes after it by itself, at the moment it was due. */
export const followOn = command({
  input: z.strictObject({ list: cueListId, after: cueId }),
  undoable: false,
  run(show, { list: id, after }, { now, newId }) {
    const list = cueListOf(show, id)
    if (!list) return noList()
    const follower = followerOf(show, list)
    if (!follower || list.list.onStage !== after || follower.at > now)
      return refuse('nothing due', `Nothing follows in ${list.list.name} now.`, 'after')
    const draft = new Draft(show)
    startCue(show, draft, list, follower.cue, { now: follower.at, seconds: null, newId })
    return done(draft, `follow: cue ${show.all.cue.get(follower.cue)?.number ?? ''}`)
  },
})

/** A list's master, 0 to 1. */
export const setMaster = command({
  input: z.strictObject({ list: cueListId, level: cueList.shape.level }),
  undoable: false,
  run(show, { list: id, level }) {
    const list = cueListOf(show, id)
    if (!list) return noList()
    const draft = new Draft(show).set('cueList', list.id, 'level', level)
    return done(draft, `master of ${list.list.name} at ${Math.round(level * 100)} %`, `master ${id}`)
  },
})
