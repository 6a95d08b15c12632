import { expect, it } from 'vitest'
import { darkMovesByFixture } from '#core/cues/darkMoves'
import { listsInOrder } from '#core/cues/tracking'
import { TravelCheck, type CheckedCourse } from '#core/travel/check'
import { richDesk } from '../../tests/support/richShow'
import { ShowWork, type News } from './showWork'

const { show } = richDesk()
const list = listsInOrder(show)[0]?.id
if (!list) throw new Error('the show has no list')

/** Takes in what is told. */
function listener<T>() {
  const told: News<T>[] = []
  const parts = () => told.map(({ part }) => part)
  return { tell: (news: News<T>) => void told.push(news), all: () => told.flatMap(({ found }) => found), parts }
}

it('tells piece by piece what the whole would come to, and when that is all', async () => {
  const heard = listener<CheckedCourse>()
  expect(await new ShowWork().checkMoves(show, heard.tell)).toBe(true)
  expect(heard.all()).toEqual([...new TravelCheck().check(show)].flatMap(({ course }) => course ?? []))
  expect(heard.parts()).toEqual([...heard.parts()].sort((a, b) => a - b))
  expect(heard.parts().at(-1)).toBe(1)
})

it('leaves a job off when it is stopped or asked for again, and no other', async () => {
  const work = new ShowWork()
  const [first, again, stopped] = [listener(), listener(), listener()]
  const check = work.checkMoves(show, listener().tell)
  const old = work.darkMoves(show, list, first.tell)
  const newer = work.darkMoves(show, list, again.tell)
  expect(await old).toBe(false)
  expect(await newer).toBe(true)
  expect(again.all()).toEqual([...darkMovesByFixture(show, list)].flatMap(({ moves }) => moves))
  const third = work.unwind(show, { list, fixtures: null, isFreed: false }, stopped.tell)
  work.stop('unwinding')
  expect(await third).toBe(false)
  expect(await check).toBe(true)
})
