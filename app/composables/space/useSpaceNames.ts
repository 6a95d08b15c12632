/** Names of targets over the picture of space, kept clear of each other. */
import { computed, type Ref } from 'vue'
import type { Show } from '#core/show/show'
import { pointOn, targetsOf } from '#core/show/targets'
import { besideMark, NamePlaces } from '#core/drawing/namePlaces'
import type { SpaceView } from '../../space/spaceView'

/** Half as wide and high as the sign of a target is, pixels. */
const SIGN = 5
/** No name is longer, pixels. */
const BEYOND = 1000

/** `width` and `height` are the picture's, pixels; `pictures` counts how often it was drawn. */
export function useSpaceNames(
  space: Ref<SpaceView | null>,
  show: () => Show,
  { width, height, pictures }: { width: Ref<number>; height: Ref<number>; pictures: Ref<number> },
) {
  return computed(() => {
    const view = space.value
    if (!view || pictures.value === 0) return []
    const marks = [...targetsOf(show()).values()].flatMap((placed) => {
      const part = view.onScreen(pointOn(placed, null))
      if (!part || part.x < 0 || part.x > 1 || part.y < 0 || part.y > 1) return []
      return [{ id: placed.id, name: placed.target.name, x: part.x * width.value, y: part.y * height.value }]
    })
    const places = new NamePlaces()
    // Beyond its edge a name could not be read.
    places.mark({ left: width.value, right: width.value + BEYOND, top: 0, bottom: height.value })
    for (const { x, y } of marks) places.mark({ left: x - SIGN, right: x + SIGN, top: y - SIGN, bottom: y + SIGN })
    return marks
      .sort((a, b) => a.y - b.y)
      .map(({ id, name, ...mark }) => {
        const { at, isFree } = places.place(name, besideMark(mark, name))
        if (!isFree) places.write(name, at)
        return { id, name, at }
      })
  })
}
