/** The magic sheet: groups and palettes as cards, each with what it is at a glance. */
import { LEADING } from '../attributes/catalogue'
import { hexOf } from '../colour/colour'
import { paletteLight } from '../cues/paletteLight'
import { groupsInOrder } from '../groups/groups'
import { palettesInOrder, attributesServed, paletteValueFor, resolveValue } from '../palettes/resolve'
import { paletteColours } from '../palettes/paletteColours'
import { cueCounts, servedBy } from '../palettes/use'
import { valueInWords } from '../refocus/paletteLines'
import { writtenFixtures } from '../selection/written'
import { attributeName } from '../attributes/attribute'
import { SHELVES, type Shelf } from '../attributes/families'
import { counted } from '../show/counted'
import type { PaletteId } from '../show/ids'
import type { Show } from '../show/show'
import { glanceDrawing } from './drawing/stageDrawings'
import type { Block, Card, Leaf } from './leaf'
import { PALETTE_INKS } from './paletteInks'

const ACROSS = 4
const PICTURE_MM = { widthMm: 42, heightMm: 26 }
/** Values said of a palette without a place. */
const MOST_WORDS = 4
/** Fixtures named on the card of a group. */
const MOST_FIXTURES = 8

export function* magicSheet(show: Show): Generator<Leaf> {
  const blocks = [...groupBlocks(show), ...SHELVES.flatMap((shelf) => shelfBlocks(show, shelf))]
  if (blocks.length > 0)
    yield { key: 'magic', title: 'Groups and palettes', under: 'magic sheet', isLandscape: false, blocks }
}

function groupBlocks(show: Show): Block[] {
  const cards = groupsInOrder(show).map(({ id, group, members }) => ({
    key: `group ${id}`,
    title: `${group.number}  ${group.name}`,
    words: `${counted(members.length, 'fixture')}: ${writtenFixtures(show, members, MOST_FIXTURES)}`,
    colour: PALETTE_INKS[group.colour],
    drawing: null,
  }))
  return cards.length > 0 ? headed(`Groups, ${cards.length}`, cards) : []
}

function shelfBlocks(show: Show, shelf: Shelf): Block[] {
  const cards = palettesInOrder(show)
    .filter(({ palette }) => palette.shelf === shelf)
    .map(({ id }) => paletteCard(show, id))
  const name = `${shelf[0]?.toUpperCase() ?? ''}${shelf.slice(1)}`
  return cards.length > 0 ? headed(`${name}, ${counted(cards.length, 'palette')}`, cards) : []
}

function headed(words: string, cards: readonly Card[]): Block[] {
  return [
    { kind: 'words', words },
    { kind: 'cards', across: ACROSS, cards },
  ]
}

function paletteCard(show: Show, id: PaletteId): Card {
  const palette = show.all.palette.get(id)
  const light = paletteLight(show, id)
  const [colour] = paletteColours(show, id)
  const cues = cueCounts(show).get(id) ?? 0
  const said = [
    ...(light.length > 0 ? [] : valuesInWords(show, id)),
    counted(light.length, 'light'),
    counted(cues, 'cue'),
  ]
  return {
    key: `card ${id}`,
    title: `${palette?.number ?? ''}  ${palette?.name ?? ''}`,
    words: said.filter((words) => words !== '0 lights').join(', '),
    colour: colour ? hexOf(colour.made.look) : palette ? PALETTE_INKS[palette.colour] : null,
    drawing: light.length > 0 ? glanceDrawing(show, light, PICTURE_MM) : null,
  }
}

/** What the first fixture it serves gets. */
function valuesInWords(show: Show, id: PaletteId): string[] {
  const [first] = servedBy(show, id)
  if (!first) return []
  return attributesServed(show, id, first)
    .filter((attribute) => attribute !== LEADING.place)
    .slice(0, MOST_WORDS)
    .flatMap((attribute) => {
      const stored = paletteValueFor(show, id, first, attribute)
      const value = stored && resolveValue(show, first, attribute, stored).value
      return value ? [`${attributeName(attribute)} ${valueInWords(show, value, attribute, first.type)}`] : []
    })
}
