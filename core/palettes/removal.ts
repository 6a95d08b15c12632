/** Taking palettes out: who leans on them, and what becomes of their links. */
import { paletteValueId } from '../show/compositeIds'
import { removeWithDependents } from '../show/cascade'
import type { Draft } from '../show/draft'
import { asFixtureId, type CueId, type PaletteId } from '../show/ids'
import type { Attribute } from '../attributes/attribute'
import { wayTo } from '../show/links'
import { typedFixtures } from '../show/rig'
import type { PaletteValue } from '../show/entities'
import type { Show } from '../show/show'
import type { Dependents } from '../show/dependents'
import type { CueContent, LinkValue, Value } from '../show/values'
import { resolveValue, servedByValue, type Served } from './resolve'

/** What becomes of links to palettes that go: plain values, or links to another palette. */
export type LinksBecome = { readonly how: 'loose' } | { readonly how: 'links'; readonly to: PaletteId }

/** The cues, palettes and hands that hold links to some palettes. */
export function dependentsOfPalettes(show: Show, palettes: ReadonlySet<string>): Dependents {
  const isLinked = ({ value }: { readonly value: CueContent }) => value.kind === 'link' && palettes.has(value.palette)
  const cues = new Set<CueId>()
  for (const held of show.all.cueValue.values()) if (isLinked(held)) cues.add(held.cue)
  const others = new Set<PaletteId>()
  for (const held of show.all.paletteValue.values())
    if (isLinked(held) && !palettes.has(held.palette)) others.add(held.palette)
  const inHand = [...show.all.handValue.values()].filter(isLinked).length
  return { groups: [], palettes: [...others], cues: [...cues], inHand }
}

/** Writes the removal of palettes into a draft. Links that the new palette cannot serve become loose. */
export function removePalettes(show: Show, draft: Draft, palettes: ReadonlySet<string>, become: LinksBecome): void {
  for (const kind of ['cueValue', 'handValue'] as const)
    for (const [id, held] of show.all[kind]) {
      if (held.value.kind !== 'link' || !palettes.has(held.value.palette)) continue
      const value = replaced(show, held.fixture, held.attribute, held.value, become)
      if (value === null) draft.remove(kind, id)
      else draft.put(kind, id, { ...held, value })
    }
  for (const [id, stored] of show.all.paletteValue) {
    const isLinked = stored.value.kind === 'link' && palettes.has(stored.value.palette)
    if (isLinked && !palettes.has(stored.palette)) replaceInPalette(show, draft, id, stored, become)
  }
  removeWithDependents(draft, 'palette', palettes)
}

function replaced(
  show: Show,
  fixture: string,
  attribute: Attribute,
  link: LinkValue,
  become: LinksBecome,
): Value | null {
  const served = typedFixtures(show).get(asFixtureId(fixture))
  if (!served) return null
  if (become.how === 'links' && gives(show, become.to, served, attribute)) return { kind: 'link', palette: become.to }
  return resolveValue(show, served, attribute, link).value
}

/** Whether a palette comes to something for a fixture's attribute. */
function gives(show: Show, palette: PaletteId, served: Served, attribute: Attribute): boolean {
  return resolveValue(show, served, attribute, { kind: 'link', palette }).value !== null
}

/**
 * A link in a palette to one that goes. It leads to the heir where the heir holds something for those
 * it serves; the others get what it gave them as values of their own, and so do all where the heir
 * itself is made of this palette.
 */
function replaceInPalette(show: Show, draft: Draft, id: string, stored: PaletteValue, become: LinksBecome) {
  const { attribute, palette, value } = stored
  const heir = become.how === 'links' && wayTo(show, become.to, palette) === null ? become.to : null
  const served = servedByValue(show, stored)
  const isInherited = (fixture: Served) => heir !== null && gives(show, heir, fixture, attribute)
  if (heir !== null && served.some(isInherited))
    draft.put('paletteValue', id, { ...stored, value: { kind: 'link', palette: heir } })
  else draft.remove('paletteValue', id)
  for (const fixture of served) {
    const plain = isInherited(fixture) ? null : resolveValue(show, fixture, attribute, value).value
    if (plain)
      draft.put('paletteValue', paletteValueId(palette, attribute, { own: fixture.id }), {
        palette,
        fixture: fixture.id,
        fixtureType: null,
        attribute,
        value: plain,
      })
  }
}
