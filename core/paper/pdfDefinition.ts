/** Papers laid out for pdfmake: one document with our letters, bookmarks, page numbers and marks of what changed. */
import type { Content, ContentSection, TDocumentDefinitions } from 'pdfmake/interfaces'
import { counted } from '../show/counted'
import { entity, showRecordOf, type Show } from '../show/show'
import { changesSince, type LeafChanges } from './changes'
import type { Print } from '../show/entities'
import { PAPER_TITLES, type PaperName } from '../show/papers'
import type { Paper } from './compose'
import { inPoints, INKS } from './drawing/pen'
import type { Leaf } from './leaf'
import { MARGINS, printedArea, type PageSize } from './pageSizes'
import { blockLaidOut, SIZE } from './pdfBlocks'

/** The family our letters are known by. */
export const FONT = 'Hyperlegible'

/** What is being printed. */
export interface Printing {
  readonly size: PageSize
  readonly papers: readonly Paper[]
  /** How each paper was printed before; those that never were have no marks. */
  readonly before: ReadonlyMap<string, Print>
  /** When it is printed, and days, as people read them. */
  readonly when: string
  readonly day: (at: number) => string
}

export function pdfDefinition(show: Show, print: Printing): TDocumentDefinitions {
  const { name, venue } = showRecordOf(show)
  const house = entity(show, 'venue', venue).name
  return {
    pageSize: print.size === 'Letter' ? 'LETTER' : print.size,
    pageMargins: [inPoints(MARGINS.side), inPoints(MARGINS.above), inPoints(MARGINS.side), inPoints(MARGINS.below)],
    defaultStyle: { font: FONT, fontSize: SIZE.words, color: INKS.line },
    info: { title: `${name}, ${house}`, creator: 'Rhopander', producer: 'Rhopander' },
    content: print.papers.flatMap((paper) => sectionsOf(paper, print)),
    footer: (page, count) => footer(`${name} at ${house}`, print.when, `${page} of ${count}`),
  }
}

/** Each leaf on pages of its own; the first of a paper is its bookmark, with the leaves below it. */
function sectionsOf(paper: Paper, print: Printing): ContentSection[] {
  const before = print.before.get(paper.name) ?? null
  const version = before ? before.version + 1 : 1
  return paper.leaves.map((leaf, i) => {
    const changes = before && changesSince(leaf, before)
    const width = inPoints(printedArea(print.size, leaf.isLandscape).widthMm)
    const section: Content[] = [
      ...(i === 0 ? [bookmark(paper.name)] : []),
      title(leaf, paper.name),
      ...(changes && before ? [changesLine(changes, before, print)] : []),
      ...leaf.blocks.map((block) => blockLaidOut(block, changes, width)),
    ]
    return {
      section,
      pageOrientation: leaf.isLandscape ? 'landscape' : 'portrait',
      header: header(PAPER_TITLES[paper.name], `version ${version}`),
    }
  })
}

const HEADER_ABOVE = inPoints(8)
const SIDE = inPoints(MARGINS.side)

function header(left: string, right: string): Content {
  return {
    columns: [{ text: left }, { text: right, alignment: 'right' }],
    color: INKS.middle,
    fontSize: SIZE.foot,
    margin: [SIDE, HEADER_ABOVE, SIDE, 0],
  }
}

function footer(left: string, middle: string, right: string): Content {
  return {
    columns: [{ text: left }, { text: middle, alignment: 'center' }, { text: right, alignment: 'right' }],
    color: INKS.middle,
    fontSize: SIZE.foot,
    margin: [SIDE, inPoints(4), SIDE, 0],
  }
}

/** Words that nobody sees, for the bookmarks. */
function bookmark(paper: PaperName): Content {
  return { text: ' ', fontSize: 0.1, outline: true, outlineText: PAPER_TITLES[paper], id: paper, outlineExpanded: true }
}

function title({ title: words, under }: Leaf, paper: PaperName): Content {
  return {
    text: [
      { text: words, fontSize: SIZE.title, bold: true },
      ...(under ? [{ text: `   ${under}`, fontSize: SIZE.under, color: INKS.middle }] : []),
    ],
    outline: true,
    outlineText: words,
    outlineParentId: paper,
    margin: [0, 0, 0, 3],
  }
}

/** "2 lines are other than in version 3 of 4 May". */
function changesLine({ marks, isHeadOther, gone }: LeafChanges, { version, at }: Print, { day }: Printing): Content {
  const since = `version ${version} of ${day(at)}`
  const told = [...marks.values()]
  const [fresh, changed] = [told.filter((mark) => mark === 'new').length, told.length]
  const parts = [
    changed - fresh > 0 ? `${counted(changed - fresh, 'line')} other` : '',
    fresh > 0 ? `${fresh} new` : '',
    gone > 0 ? `${gone} gone` : '',
    isHeadOther ? 'heading or drawing other' : '',
  ].filter(Boolean)
  const words = parts.length === 0 ? `Nothing has changed since ${since}` : `Since ${since}: ${parts.join(', ')}`
  return { text: words, color: parts.length === 0 ? INKS.middle : INKS.mark, fontSize: SIZE.head, margin: [0, 0, 0, 3] }
}
