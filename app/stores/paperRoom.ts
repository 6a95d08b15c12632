/** What is chosen to be printed, and the print that is looked at. */
import { useLocalStorage, watchDebounced } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { firstWish, FIRST_CHOICE, paperChoice, type PaperChoice, type PaperWish } from '#core/paper/choice'
import type { PaperName } from '#core/show/papers'
import type { PageSize } from '#core/paper/pageSizes'
import { isPrintedAlike } from '#core/paper/printedAlike'
import { PAPERS } from '#core/show/entities'
import { showRecordOf, type Show } from '#core/show/show'
import { mayRun } from '#core/access/roles'
import { saveFile } from '../composables/table/saveFile'
import { beginPrinting, type Printing } from '../session/printing'
import type { PrintedPapers, PrintProgress } from '../session/printShow'
import { useShow } from './show'

/** A choice is printed once nothing more of it was changed for so long, milliseconds. */
const SETTLES = 500

/** What was kept, or the first choice where that cannot be read: of an earlier release, or of another hand. */
const kept = {
  read(text: string): PaperChoice {
    try {
      return paperChoice.catch(FIRST_CHOICE).parse(JSON.parse(text))
    } catch {
      return FIRST_CHOICE
    }
  },
  write: (choice: PaperChoice) => JSON.stringify(choice),
}

/** A print, and the show it was made of. */
interface Made extends PrintedPapers {
  readonly of: Show
}

export const usePaperRoom = defineStore('paperRoom', () => {
  const store = useShow()
  const choice = useLocalStorage<PaperChoice>(() => `rhopander-paper-${store.view?.id ?? ''}`, FIRST_CHOICE, {
    serializer: kept,
    shallow: true,
  })
  const made = shallowRef<Made | null>(null)
  const progress = ref<PrintProgress | null>(null)
  const trouble = ref<string | null>(null)
  let printing: Printing | null = null

  /** Whether something of the show is another than in the print. */
  const isOld = computed(() => made.value !== null && store.view !== null && !isPrintedAlike(made.value.of, store.view))
  const others = computed(() => PAPERS.filter((paper) => !choice.value.papers.some((one) => one.paper === paper)))

  function stop() {
    printing?.stop()
    printing = null
    progress.value = null
  }

  async function look() {
    stop()
    const show = store.view
    if (!show) return
    trouble.value = null
    if (made.value?.of.id !== show.id) made.value = null
    progress.value = { leaves: 0 }
    const language = navigator.language
    const when = new Intl.DateTimeFormat(language, { dateStyle: 'medium', timeStyle: 'short' }).format(Date.now())
    const own = beginPrinting(show, { choice: choice.value, when, language }, (now) => {
      if (printing === own) progress.value = now
    })
    printing = own
    try {
      const printed = await own.printed
      if (printing !== own) return
      made.value = printed && { ...printed, of: show }
    } catch (error) {
      if (printing !== own) return
      trouble.value = error instanceof Error ? error.message : String(error)
      made.value = null
    }
    stop()
  }

  /** Hands the print over as a file, and notes what was printed where one may. */
  async function save() {
    const print = made.value
    if (!print) return
    const day = new Date().toISOString().slice(0, 10)
    saveFile(
      `${showRecordOf(print.of).name}, papers ${day}.pdf`,
      new Blob([print.pdf.slice()], { type: 'application/pdf' }),
    )
    if (!mayRun(store.role, 'notePrint')) return
    const papers = print.papers.map(({ paper, lines }) => ({ paper, lines }))
    await store.send('notePrint', { papers })
  }

  const setPapers = (papers: readonly PaperWish[]) => (choice.value = { ...choice.value, papers: [...papers] })
  const add = (paper: PaperName) => setPapers([...choice.value.papers, firstWish(paper)])
  const remove = (paper: PaperName) => setPapers(choice.value.papers.filter((one) => one.paper !== paper))
  const change = (wish: PaperWish) =>
    setPapers(choice.value.papers.map((one) => (one.paper === wish.paper ? wish : one)))
  const order = (names: readonly PaperName[]) =>
    setPapers(names.flatMap((name) => choice.value.papers.filter(({ paper }) => paper === name)))
  const setSize = (size: PageSize) => (choice.value = { ...choice.value, size })

  watchDebounced(choice, () => void look(), { debounce: SETTLES })

  return { choice, others, made, progress, trouble, isOld, look, stop, save, add, remove, change, order, setSize }
})
