<script setup lang="ts">
/** The Cues room: the carry sheet, what is looked at in it, and every list as it runs. */
import { useEventListener } from '@vueuse/core'
import { computed, useTemplateRef, watch } from 'vue'
import { cueId, type CueId } from '#core/show/ids'
import { isTyping } from '../../../composables/keys/isTyping'
import { useActions } from '../../../composables/keys/useActions'
import { useCuesRoom } from '../../../stores/cuesRoom'
import { useCompared } from '../../../stores/compared'
import { useDarkPlan } from '../../../stores/darkPlan'
import { usePanelSizes } from '../../../stores/panelSizes'
import { useProposal } from '../../../stores/proposal'
import { useShow } from '../../../stores/show'
import { useUnwinding } from '../../../stores/unwinding'
import CarrySheet from '../../../components/cues/CarrySheet.vue'
import CellPanel from '../../../components/cues/CellPanel.vue'
import CueDetail from '../../../components/cues/CueDetail.vue'
import LoosePanel from '../../../components/cues/LoosePanel.vue'
import ReplacePanel from '../../../components/cues/ReplacePanel.vue'
import RunStrip from '../../../components/cues/RunStrip.vue'
import SheetLegend from '../../../components/cues/SheetLegend.vue'
import SheetTools from '../../../components/cues/SheetTools.vue'
import StagePlan from '../../../components/stage/StagePlan.vue'
import DarkPanel from '../../../components/travel/DarkPanel.vue'
import FaultsPanel from '../../../components/travel/FaultsPanel.vue'
import TravelDetail from '../../../components/travel/TravelDetail.vue'
import TravelView from '../../../components/travel/TravelView.vue'
import WaysPanel from '../../../components/travel/WaysPanel.vue'

const store = useShow()
const compared = useCompared()
const room = useCuesRoom()
const proposal = useProposal()
const plan = useDarkPlan()
const unwinding = useUnwinding()
const panels = usePanelSizes()
const sheet = useTemplateRef<InstanceType<typeof CarrySheet>>('sheet')

const asked = cueId.safeParse(useRoute().query['cue'])
if (asked.success && store.view?.all.cue.has(asked.data)) room.find(asked.data)

/** The sheet goes to the cue that is looked at in a proposal. */
watch(
  () => proposal.lookedCue,
  (cue) => {
    if (cue) room.looked = cue
  },
)
const list = computed(() => room.list)
const panelName = computed(() => {
  if (room.panel === 'loose') return 'Loose values'
  if (room.panel === 'tooFast') return 'Too fast for the motors'
  if (room.panel === 'sweeps') return 'Sweeps'
  if (room.panel === 'accepted') return 'Accepted sweeps'
  if (room.panel === 'replace') return 'Find and replace'
  if (room.panel === 'dark') return 'Moves in the dark'
  if (room.panel === 'ways') return 'Ways round'
  return room.cells ? 'Cells' : `Cue ${room.cue?.cue.number ?? ''}`
})

function go(cue: CueId) {
  if (list.value) void store.send('goToCue', { list: list.value.id, cue, seconds: null })
}
function step(by: 1 | -1) {
  const cues = list.value?.cues ?? []
  const next = cues[cues.findIndex(({ id }) => id === room.cue?.id) + by]
  if (next) room.look(next.id)
}

/** Which keys go from cue to cue: as the cues stand in either view. */
const STEPS: Readonly<Record<'sheet' | 'travel', Readonly<Record<string, 1 | -1>>>> = {
  sheet: { ArrowDown: 1, ArrowUp: -1 },
  travel: { ArrowRight: 1, ArrowLeft: -1 },
}

const run = (name: 'goOn' | 'goBack' | 'pauseList') => () => {
  if (list.value) void store.send(name, { list: list.value.id })
}
useActions({ go: run('goOn'), back: run('goBack'), pause: run('pauseList') })
useEventListener('keydown', (event) => {
  if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return
  if (event.key === 'Escape') escape()
  if (proposal.pending) {
    if (event.key === 'Enter' && !(event.target instanceof HTMLButtonElement)) void proposal.commit()
    return
  }
  const isEnter = event.key === 'Enter' && !(event.target instanceof HTMLButtonElement)
  if (plan.isTrying && isEnter) return void plan.keep()
  if (unwinding.tried && isEnter) return void unwinding.keep()
  const by = STEPS[room.view][event.key]
  if (by) {
    event.preventDefault()
    step(by)
  }
  if (isEnter && room.cue) go(room.cue.id)
})

/** Lets go of one thing at a time: what is proposed, the cells, the panel. */
function escape() {
  if (proposal.pending) proposal.cancel()
  else if (plan.isTrying) plan.putBack()
  else if (unwinding.found) unwinding.putBack()
  else if (room.cells) room.cells = null
  else room.panel = 'detail'
}
</script>

<template>
  <main
    v-if="room.show"
    class="grid min-h-0 grid-rows-[minmax(0,1fr)_auto]"
    :style="{ gridTemplateColumns: `minmax(0, 1fr) ${panels.sizes.cue}px` }"
  >
    <section v-if="room.view === 'travel'" class="relative flex min-h-0 flex-col bg-night" aria-label="Travel">
      <PanelEdge panel="cue" grows="left" />
      <TravelView :show="room.show" @go="go" />
    </section>
    <section v-else class="relative flex min-h-0 flex-col bg-night" aria-label="Carry sheet">
      <PanelEdge panel="cue" grows="left" />
      <SheetTools :show="room.show" :trouble="sheet?.trouble ?? null" />
      <template v-if="list && list.cues.length">
        <CarrySheet ref="sheet" :show="room.show" @go="go" />
        <SheetLegend v-if="!compared.pictures" :show="room.show" />
      </template>
      <p v-else class="m-4 grid flex-1 place-items-center rounded-lg border border-dashed border-rule-2 text-mist">
        <span>Cues stand here, one row each. Build the first in Focus: aim or recall something, then press Cue.</span>
      </p>
      <div v-if="compared.pictures" class="relative h-[46%] shrink-0 border-t border-rule-2">
        <StagePlan :show="room.show" :pools-at-floor="false" picture="compared" />
        <p class="pill absolute top-2 left-3 bg-deck">{{ compared.pictures.title }}</p>
      </div>
    </section>
    <aside class="min-h-0 overflow-y-auto border-l border-rule bg-deck" :aria-label="panelName" tabindex="0">
      <LoosePanel v-if="room.panel === 'loose'" :show="room.show" />
      <FaultsPanel
        v-else-if="room.panel === 'tooFast' || room.panel === 'sweeps' || room.panel === 'accepted'"
        :show="room.show"
        :fault="room.panel"
      />
      <ReplacePanel v-else-if="room.panel === 'replace'" :show="room.show" />
      <DarkPanel v-else-if="room.panel === 'dark'" :show="room.show" />
      <WaysPanel v-else-if="room.panel === 'ways'" />
      <CellPanel v-else-if="room.cells" :show="room.show" :cells="room.cells" />
      <TravelDetail v-else-if="room.view === 'travel' && room.cue" :show="room.show" :cue="room.cue" />
      <CueDetail v-else-if="list && room.cue" :show="room.show" :list="list" :cue="room.cue.id" />
    </aside>
    <ProposalBar v-if="proposal.current" class="col-span-2" />
    <RunStrip v-else class="col-span-2" :show="room.show" :main="list?.id ?? null" />
  </main>
</template>
