/** The stand-in rig as its own page follows it. */
import { onScopeDispose, ref, shallowRef, computed } from 'vue'
import { receivedPictures, type ReceivedValues } from '#core/output/received'
import { readShowDocument } from '#core/exchange/showFile'
import type { FixtureId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { asHung } from '#core/standIn/asHung'
import { hiddenErrors, howOff, USUALLY_OFF, type HowOff } from '#core/standIn/hiddenErrors'
import { standInMoves, standInScene, withMoves } from '#core/standIn/scene'

const SCENE = '/api/stand-in'
const MOVES = '/api/stand-in/moves'

/** Follows it from now on; `drawn` is null until it answers. */
export function usePractice() {
  const drawn = shallowRef<Show | null>(null)
  const how = ref<HowOff>(USUALLY_OFF)
  const values = shallowRef<ReceivedValues>(new Map())
  /** Heads that turn. */
  const turning = shallowRef<ReadonlySet<FixtureId>>(new Set())
  const isGone = ref(false)

  async function ask() {
    const answer = await fetch(SCENE).catch(() => null)
    const scene = answer?.ok ? standInScene.safeParse(await answer.json()).data : undefined
    const read = scene && readShowDocument(scene.document, scene.show)
    isGone.value = !read?.ok
    if (!scene || !read?.ok) return
    how.value = scene.how
    drawn.value = read.show
  }

  const source = new EventSource(MOVES)
  source.addEventListener('open', () => void ask())
  source.addEventListener('begun', () => void ask())
  source.addEventListener('error', () => (isGone.value = true))
  source.addEventListener('moves', (event: MessageEvent<string>) => {
    const news = standInMoves.parse(JSON.parse(event.data))
    values.value = withMoves(values.value, news)
    turning.value = new Set(news.turning)
  })
  onScopeDispose(() => source.close())

  const errors = computed(() => (drawn.value ? hiddenErrors(drawn.value, how.value) : null))
  /** The show it hangs by. */
  const hung = computed(() => (drawn.value && errors.value ? asHung(drawn.value, errors.value) : null))
  const pictures = computed(() => (hung.value ? receivedPictures(hung.value, values.value) : []))

  /** Hangs it anew; resolves to whether it did. */
  async function hangAnew(next: HowOff): Promise<boolean> {
    const headers = { 'content-type': 'application/json' }
    const answer = await fetch(SCENE, { method: 'PUT', headers, body: JSON.stringify(howOff.parse(next)) }).catch(
      () => null,
    )
    return answer?.ok === true
  }
  return { drawn, how, errors, hung, pictures, turning, isGone, hangAnew }
}
