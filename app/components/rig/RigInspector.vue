<script setup lang="ts">
/** What stands beside the stage in the Rig room: what is selected or looked at, or a form to add something. */
import { Anchor, Box, Layers, LampDesk, Map, MapPin, Ruler } from '@lucide/vue'
import { computed } from 'vue'
import { rigCheck } from '#core/rig/check'
import { wholeFixtures, wholesAmong } from '#core/show/cells'
import { hangsOf, rigOf } from '#core/show/rig'
import { setPiecesOf } from '#core/show/setPieces'
import { entity, showRecordOf, type Show } from '#core/show/show'
import { underlaysOf } from '#core/show/underlays'
import { targetsOf } from '#core/show/targets'
import type { HangId } from '#core/show/ids'
import { rigFilesOf } from '#core/show/keptFiles'
import { normalisedName } from '#core/show/names'
import { useChosen } from '../../stores/chosen'
import { useStage } from '../../stores/stage'
import { useRigRoom, type RigForm } from '../../stores/rigRoom'
import { useSelection } from '../../stores/selection'
import { useShow } from '../../stores/show'
import AddHangForm from './AddHangForm.vue'
import AddRowForm from './AddRowForm.vue'
import AddSetPieceForm from './AddSetPieceForm.vue'
import AddTargetForm from './AddTargetForm.vue'
import FixturePanel from './FixturePanel.vue'
import HangPanel from './HangPanel.vue'
import LayersPanel from './LayersPanel.vue'
import LensPanel from './LensPanel.vue'
import RigPanel from './RigPanel.vue'
import SetPiecePanel from './SetPiecePanel.vue'
import TargetPanel from './TargetPanel.vue'
import KeptFiles from '../exchange/KeptFiles.vue'
import UnderlaysPanel from './UnderlaysPanel.vue'
import VenuePanel from './VenuePanel.vue'

const props = defineProps<{ show: Show }>()
const store = useShow()
const stage = useStage()
const rigRoom = useRigRoom()
const chosen = useChosen()
const selection = useSelection()

const venue = computed(() => entity(props.show, 'venue', showRecordOf(props.show).venue))
const hang = computed(() => hangsOf(props.show).find(({ id }) => id === chosen.idOf('hang')))
const piece = computed(() => setPiecesOf(props.show).find(({ id }) => id === chosen.idOf('setPiece')))
const target = computed(() => targetsOf(props.show).get(chosen.idOf('target') ?? ''))
/** What hangs by itself: a cell is changed with its bar. */
const fixtures = computed(() => wholesAmong(props.show, selection.fixtures))
const fixturesTitle = computed(() => {
  const [only] = fixtures.value
  if (fixtures.value.length !== 1 || !only) return `${fixtures.value.length} fixtures`
  return `Fixture ${props.show.all.fixture.get(only)?.number ?? ''}`
})
const rowHang = computed<HangId | null>(() => hang.value?.id ?? null)
const findings = computed(() => rigCheck(props.show))

const ADDS: readonly { form: RigForm; name: string; icon: typeof Anchor }[] = [
  { form: 'hang', name: 'Hang', icon: Anchor },
  { form: 'row', name: 'Row of fixtures', icon: LampDesk },
  { form: 'set piece', name: 'Set piece', icon: Box },
  { form: 'target', name: 'Target', icon: MapPin },
]
const TITLES: Readonly<Record<RigForm, string>> = {
  hang: 'New hang',
  row: 'Row of fixtures',
  'set piece': 'New set piece',
  target: 'New target',
  venue: 'Venue',
  layers: 'Layers of the set',
  underlays: 'Under the plan',
}

const files = computed(() =>
  rigFilesOf(props.show).map(([id, { name, size }]) => ({ kind: 'rigFile' as const, id, name, size })),
)

function open(form: RigForm) {
  if (form !== 'row') chosen.clear()
  selection.clear()
  rigRoom.form = form
}
/** What was just added is what one looks at next. */
function lookAt(kind: 'hang' | 'setPiece' | 'target', name: string) {
  rigRoom.form = null
  const show = store.view
  if (!show) return
  const isIt = (other: string) => normalisedName(other) === normalisedName(name)
  const hangs = hangsOf(show).find(({ hang: known }) => isIt(known.name))
  const pieces = setPiecesOf(show).find(({ piece: known }) => isIt(known.name))
  const targets = [...targetsOf(show).values()].find(({ target: known }) => isIt(known.name))
  if (kind === 'hang' && hangs) chosen.choose({ kind, id: hangs.id })
  if (kind === 'setPiece' && pieces) chosen.choose({ kind, id: pieces.id })
  if (kind === 'target' && targets) chosen.choose({ kind, id: targets.id })
}
function lookAtRow(from: number, count: number) {
  rigRoom.form = null
  const placed = [...rigOf(store.view ?? props.show).values()].filter(
    ({ fixture }) => fixture.number >= from && fixture.number < from + count,
  )
  selection.set(placed.map(({ id }) => id))
}
</script>

<template>
  <aside class="flex min-h-0 flex-col border-l border-rule bg-deck" aria-label="Properties">
    <RigPanel v-if="stage.tool === 'lens'" title="Choosing a lens" @close="stage.tool = 'select'">
      <LensPanel :show="show" />
    </RigPanel>
    <RigPanel v-else-if="rigRoom.form" :title="TITLES[rigRoom.form]" @close="rigRoom.form = null">
      <AddHangForm v-if="rigRoom.form === 'hang'" @done="(name) => lookAt('hang', name)" />
      <AddRowForm v-else-if="rigRoom.form === 'row'" :show="show" :hang="rowHang" @done="lookAtRow" />
      <AddSetPieceForm
        v-else-if="rigRoom.form === 'set piece'"
        :show="show"
        @done="(name) => lookAt('setPiece', name)"
      />
      <AddTargetForm v-else-if="rigRoom.form === 'target'" :show="show" @done="(name) => lookAt('target', name)" />
      <LayersPanel v-else-if="rigRoom.form === 'layers'" :show="show" />
      <UnderlaysPanel v-else-if="rigRoom.form === 'underlays'" :show="show" />
      <VenuePanel v-else :show="show" :venue="venue" />
    </RigPanel>
    <RigPanel v-else-if="fixtures.length" :title="fixturesTitle" @close="selection.clear()">
      <FixturePanel :key="fixtures.join()" :show="show" :fixtures="fixtures" />
    </RigPanel>
    <RigPanel
      v-else-if="hang"
      :title="hang.hang.name"
      :note="`${hang.fixtures.length} fixtures`"
      @close="chosen.clear()"
    >
      <HangPanel
        :key="hang.id"
        :show="show"
        :hang="hang"
        @row="rigRoom.form = 'row'"
        @select="selection.set(hang.fixtures.map(({ id }) => id))"
      />
    </RigPanel>
    <RigPanel v-else-if="piece" :title="piece.piece.name" note="Set piece" @close="chosen.clear()">
      <SetPiecePanel :key="piece.id" :show="show" :piece="piece" />
    </RigPanel>
    <RigPanel v-else-if="target" :title="target.target.name" note="Target" @close="chosen.clear()">
      <TargetPanel :key="target.id" :show="show" :placed="target" />
    </RigPanel>
    <div v-else class="flex min-h-0 flex-1 flex-col gap-4 overflow-y-auto px-4 py-3">
      <section aria-labelledby="rig-add">
        <h2 id="rig-add" class="mb-2 text-lg font-semibold">Add</h2>
        <div class="grid grid-cols-2 gap-1.5">
          <button
            v-for="add in ADDS"
            :key="add.form"
            type="button"
            class="chip flex items-center gap-2 py-1.5"
            @click="open(add.form)"
          >
            <component :is="add.icon" :size="15" class="text-haze" aria-hidden="true" />{{ add.name }}
          </button>
        </div>
      </section>
      <section aria-labelledby="rig-venue">
        <h2 id="rig-venue" class="mb-2 text-lg font-semibold">{{ venue.name }}</h2>
        <dl class="mb-2 grid grid-cols-[auto_1fr] gap-x-4 gap-y-0.5 text-sm">
          <dt class="text-haze">Opening</dt>
          <dd class="font-mono text-mist">{{ venue.opening.width }} × {{ venue.opening.height }} m</dd>
          <dt class="text-haze">Depth</dt>
          <dd class="font-mono text-mist">{{ venue.opening.depth }} m</dd>
          <dt class="text-haze">Rig</dt>
          <dd class="text-mist">{{ wholeFixtures(show).length }} fixtures on {{ hangsOf(show).length }} hangs</dd>
          <dt class="text-haze">Stage</dt>
          <dd class="text-mist">{{ setPiecesOf(show).length }} set pieces, {{ targetsOf(show).size }} targets</dd>
          <dt class="text-haze">Check</dt>
          <dd :class="findings.length ? 'text-coral' : 'text-kelp'">
            {{ findings.length === 0 ? 'nothing looks wrong' : `${findings.length} to look at` }}
          </dd>
        </dl>
        <div class="grid grid-cols-2 gap-1.5">
          <button type="button" class="chip flex items-center gap-2 py-1.5" @click="open('venue')">
            <Ruler :size="15" class="text-haze" aria-hidden="true" />Change the venue
          </button>
          <button type="button" class="chip flex items-center gap-2 py-1.5" @click="open('layers')">
            <Layers :size="15" class="text-haze" aria-hidden="true" />Layers
          </button>
          <button type="button" class="chip col-span-2 flex items-center gap-2 py-1.5" @click="open('underlays')">
            <Map :size="15" class="text-haze" aria-hidden="true" />Under the plan
            <span class="ml-auto text-haze">{{ underlaysOf(show).length || 'nothing' }}</span>
          </button>
        </div>
      </section>
      <KeptFiles :files="files" />
      <p class="mt-auto text-sm text-haze">
        Press anything on the stage or in a table to see and change it here. Targets and set pieces can be dragged, with
        Move anything; hold Alt to place it freely.
      </p>
    </div>
  </aside>
</template>
