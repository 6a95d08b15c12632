/** Notes which papers were printed, so that the next print tells what changed. */
import { z } from 'zod'
import { counted } from '../../show/counted'
import { Draft } from '../../show/draft'
import { PAPERS, print } from '../../show/entities'
import { listInWords } from '../../show/listInWords'
import { PAPER_TITLES } from '../../show/papers'
import { command, done } from '../command'

/** Papers named in a label; of more their number is said. */
const FEW = 2

export const notePrint = command({
  input: z.strictObject({
    papers: z.array(z.strictObject({ paper: z.enum(PAPERS), lines: print.shape.lines })).min(1),
  }),
  undoable: true,
  run(show, { papers }, { now }) {
    const draft = new Draft(show)
    for (const { paper, lines } of papers) {
      const version = (show.all.print.get(paper)?.version ?? 0) + 1
      draft.put('print', paper, { paper, version, at: now, lines })
    }
    const names = papers.map(({ paper }) => PAPER_TITLES[paper])
    return done(draft, `print ${names.length > FEW ? counted(names.length, 'paper') : listInWords(names)}`)
  },
})
