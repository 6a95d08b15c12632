<script setup lang="ts">
/** The Focus room: the main stage. */
import { useLocalStorage } from '@vueuse/core'
import { computed, useTemplateRef, watch } from 'vue'
import { asPaletteId } from '#core/show/ids'
import { useBlind } from '../../../composables/hand/useBlind'
import { useFocusKeys } from '../../../composables/keys/useFocusKeys'
import { useHighlightFollowing } from '../../../composables/hand/useHighlight'
import { useStage } from '../../../stores/stage'
import { useShelfView } from '../../../stores/shelfView'
import { usePanelSizes } from '../../../stores/panelSizes'
import { useProposal } from '../../../stores/proposal'
import { useSelection } from '../../../stores/selection'
import { useShow } from '../../../stores/show'
import CueStepper from '../../../components/cues/CueStepper.vue'
import PalettePanel from '../../../components/palette/PalettePanel.vue'
import SelectPanel from '../../../components/selection/SelectPanel.vue'
import StageView from '../../../components/stage/StageView.vue'

const store = useShow()
const stage = useStage()
const selection = useSelection()
const shelves = useShelfView()
const proposal = useProposal()
const panels = usePanelSizes()
const blind = useBlind()
const route = useRoute()
watch(
  () => route.query['palette'],
  (id) => {
    if (typeof id === 'string' && store.view?.all.palette.has(id)) shelves.look(asPaletteId(id))
  },
  { immediate: true },
)
const besides = useLocalStorage('rhopander-stage-beside', true)
const isBeside = computed(() => blind.isBlind.value && besides.value && stage.view !== 'space')
useHighlightFollowing()
/** The show as the panels tell it. */
const panelShow = computed(() => stage.panelState.show)
/** What the tool waits for, where that is not plain. */
const hint = computed(() => {
  if (stage.tool === 'line') return 'Draw the line on the stage to spread the light along; its ends catch on targets.'
  if (stage.tool === 'move' && !proposal.current)
    return 'Drag a target, set piece, hang or fixture; what leans on it is shown before it is done.'
  if (stage.tool === 'aim' && selection.fixtures.length === 0)
    return 'Select fixtures first; then press anywhere on the stage.'
  return null
})
const poolsAtFloor = useLocalStorage('rhopander-pools-at-floor', false)
const plan = useTemplateRef<InstanceType<typeof StageView>>('plan')
const select = useTemplateRef<InstanceType<typeof SelectPanel>>('select')
const stepper = useTemplateRef<InstanceType<typeof CueStepper>>('stepper')

useFocusKeys(
  () => plan.value,
  (key) => void select.value?.startWith(key),
  (by) => stepper.value?.step(by),
)
</script>

<template>
  <main
    v-if="store.view && panelShow"
    class="grid min-h-0 grid-rows-[minmax(0,1fr)_auto]"
    :style="{ gridTemplateColumns: `${panels.sizes.select}px minmax(0, 1fr) ${panels.sizes.hand}px` }"
  >
    <SelectPanel ref="select" :show="panelShow" />
    <section class="relative flex min-h-0 flex-col" aria-label="Stage">
      <PanelEdge panel="select" grows="right" />
      <PanelEdge panel="hand" grows="left" />
      <div class="flex min-h-0 flex-1">
        <div class="relative min-w-0 flex-1">
          <StageView v-if="proposal.drawn" ref="plan" :show="proposal.drawn" :pools-at-floor="poolsAtFloor" />
          <p v-if="isBeside" class="pill absolute bottom-3 left-3 border-coral bg-deck text-coral">With the hand</p>
        </div>
        <div v-if="isBeside" class="relative min-w-0 flex-1 border-l border-rule-2">
          <StageView :show="store.view" :pools-at-floor="poolsAtFloor" picture="on stage" />
          <p class="pill absolute bottom-3 left-3 bg-deck">On stage</p>
        </div>
      </div>
      <div class="pointer-events-none absolute inset-x-3 top-2.5 flex flex-col gap-1.5">
        <div class="flex flex-wrap items-start justify-between gap-x-2 gap-y-1.5 *:pointer-events-auto">
          <div class="flex gap-1.5">
            <ToolSwitch :tools="['select', 'lasso', 'aim', 'move']" />
            <ViewSwitch />
          </div>
          <CueStepper ref="stepper" :show="panelShow" />
          <button
            type="button"
            class="pill shrink-0 bg-deck whitespace-nowrap ml-auto"
            :aria-pressed="poolsAtFloor"
            @click="poolsAtFloor = !poolsAtFloor"
          >
            {{ poolsAtFloor ? 'Pools at floor' : 'Pools at target' }}
          </button>
        </div>
        <div
          v-if="blind.isBlind.value"
          class="mx-auto flex w-max max-w-full items-center gap-2 pointer-events-auto rounded-md border border-coral bg-deck px-2 py-1 text-sm"
          role="status"
        >
          <span><strong class="text-coral">Blind.</strong> The hand does not touch what the stage shows.</span>
          <button type="button" class="chip py-0.5" :aria-pressed="isBeside" @click="besides = !besides">
            {{ isBeside ? 'Only this picture' : 'Stage beside it' }}
          </button>
          <button type="button" class="chip py-0.5" @click="blind.set(false)">Show the hand</button>
        </div>
      </div>
      <p
        v-if="hint"
        class="pointer-events-none absolute right-28 bottom-3 left-3 w-fit rounded-md bg-deck/90 px-2 py-1 text-sm text-mist"
      >
        {{ hint }}
      </p>
    </section>
    <PalettePanel v-if="shelves.looked" :id="shelves.looked" :show="panelShow" />
    <HandPanel v-else :show="panelShow" />
    <!-- A proposal stands where the shelf is, so that the plan keeps its size under the pointer. -->
    <div
      class="relative col-span-3"
      :style="{ height: `${panels.sizes.shelf + (shelves.size === 'large' ? 50 : 0)}px` }"
    >
      <PanelEdge panel="shelf" grows="up" />
      <PaletteShelf class="h-full" :class="proposal.current ? 'invisible' : ''" :show="panelShow" />
      <ProposalBar class="absolute inset-0" />
    </div>
  </main>
</template>
