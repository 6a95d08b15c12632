/** The pictures the slots of wheels have in the file of a type. */
import { attributeOf, childOf, childrenOf, parseXml } from '../xml/xml'

export interface WheelPicture {
  readonly wheel: string
  /** From 0. */
  readonly slot: number
  /** What the picture is called, without the ending of its file. */
  readonly name: string
}

/** Which slots have a picture, by a type's description; throws NotReadable. */
export function wheelPictures(xml: string): WheelPicture[] {
  const type = childOf(parseXml(xml).documentElement, 'FixtureType')
  return childrenOf(childOf(type, 'Wheels'), 'Wheel').flatMap((wheel) =>
    childrenOf(wheel, 'Slot').flatMap((element, slot) => {
      const name = attributeOf(element, 'MediaFileName')
      return name === '' ? [] : [{ wheel: attributeOf(wheel, 'Name'), slot, name }]
    }),
  )
}
