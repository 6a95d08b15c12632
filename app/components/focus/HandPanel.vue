<script setup lang="ts">
/** Right of the desk: what is in hand, family by family, and what recording it would take. */
import { computed } from 'vue'
import { familyOf, FAMILIES, type Attribute, type Family } from '#core/show/families'
import { metresInWords, offsetInWords } from '#core/refocus/words'
import { length } from '#core/geometry/vector'
import type { Show } from '#core/show/show'
import type { TargetId } from '#core/show/ids'
import { useHand } from '../../composables/useHand'
import { useDesk } from '../../stores/desk'
import { useSelection } from '../../stores/selection'
import { useShow } from '../../stores/show'
import AimTable from './AimTable.vue'
import FamilyRow from './FamilyRow.vue'
import NumberEntry from './NumberEntry.vue'
import RecordForm from './RecordForm.vue'
import TargetPicker from './TargetPicker.vue'

defineProps<{ show: Show }>()
const store = useShow()
const desk = useDesk()
const selection = useSelection()
const hand = useHand()

const chosen = computed(() => selection.fixtures.flatMap((id) => desk.picture.get(id) ?? []))
const fixtures = () => [...selection.fixtures]
const none = computed(() => selection.fixtures.length === 0)

/** One value for the selection, or null where it differs. */
function shared<T>(of: (fixture: (typeof chosen.value)[number]) => T): T | null {
  const [first] = chosen.value
  if (!first) return null
  const value = of(first)
  return chosen.value.every((fixture) => of(fixture) === value) ? value : null
}
const mixed = (value: number | null, digits: number) => (value === null ? '' : value.toFixed(digits))

const aim = computed(() => {
  const target = shared((f) => (f.positionValue?.kind === 'aim' ? f.positionValue.target : 'none'))
  const [first] = chosen.value
  const value = first?.positionValue
  if (none.value) return { id: null, name: 'Select fixtures to aim', offset: '' }
  if (target === null && value?.kind === 'aim' && shared((f) => f.positionValue?.kind) === 'aim') {
    const isFree = chosen.value.every((f) => f.positionValue?.kind === 'aim' && f.positionValue.target === null)
    if (!isFree) return { id: null, name: 'Different targets', offset: '' }
    return { id: null, name: 'A free place', offset: offsetInWords(value.offset) }
  }
  if (value?.kind !== 'aim' || target === null || target === 'none')
    return { id: null, name: value?.kind === 'angles' ? 'Raw angles, no target' : 'Not aimed yet', offset: '' }
  const off = length(value.offset) < 0.005 ? '' : `${offsetInWords(value.offset)} of it`
  return { id: target, name: desk.drawn?.all.target.get(target)?.name ?? 'Target', offset: off }
})
const positionSummary = computed(() => {
  if (none.value) return ''
  const short = chosen.value.filter((f) => f.position.state === 'out of reach').length
  if (short > 0) return `${short} of ${chosen.value.length} out of reach`
  const solved = chosen.value.filter((f) => f.positionValue?.kind === 'aim').length
  return solved === chosen.value.length ? `${solved} solved, all reach` : ''
})
const zoom = computed(() => {
  const angles = chosen.value.map((f) => f.zoom.angle)
  const low = Math.min(...angles)
  const high = Math.max(...angles)
  const span = low === high ? `${low.toFixed(1)}°` : `${low.toFixed(1)}° to ${high.toFixed(1)}°`
  const pool = shared((f) => (f.zoomValue?.kind === 'pool' ? f.zoomValue.diameter : null))
  return { span, pool, unfit: chosen.value.filter((f) => !f.zoom.fits).length }
})
const intensity = computed(() => shared((f) => Math.round(f.intensity * 100)))

function inHand(family: Family): boolean {
  return selection.fixtures.some((id) => [...hand.values.value.keys()].some((key) => isOf(key, id, family)))
}
function isOf(key: string, fixture: string, family: Family) {
  const [id, attribute] = key.split(' ')
  return id === fixture && ATTRIBUTE_NAMES.some((name) => name === attribute && familyOf(name) === family)
}
const ATTRIBUTE_NAMES: readonly Attribute[] = [
  'intensity',
  'position',
  'zoom',
  'edge',
  'iris',
  'red',
  'green',
  'blue',
  'gobo',
  'shutterTop',
  'shutterRight',
  'shutterBottom',
  'shutterLeft',
]

function summaryOf(family: Family): string {
  if (family === 'position') return positionSummary.value
  if (none.value) return ''
  if (family === 'beam')
    return zoom.value.pool === null ? zoom.value.span : `pool ${metresInWords(zoom.value.pool)} from every fixture`
  if (family === 'intensity') return intensity.value === null ? 'different levels' : `${intensity.value} %`
  return linkedPalettes(family)
}

/** The names of the palettes a family of the selection comes from, where it is in hand. */
function linkedPalettes(family: Family): string {
  const names = new Set<string>()
  for (const [key, value] of hand.values.value) {
    const fixture = selection.fixtures.find((id) => isOf(key, id, family))
    if (fixture)
      names.add(value.kind === 'link' ? (store.view?.all.palette.get(value.palette)?.name ?? '') : 'set by hand')
  }
  return [...names].join(', ')
}

const pickTarget = (target: TargetId) =>
  store.send('aimAtTarget', { fixtures: fixtures(), target, offset: { x: 0, y: 0, z: 0 }, along: null })
const turn = (axis: 'pan' | 'tilt', degrees: number) => {
  const to = { how: 'to', degrees } as const
  return store.send('turnHeads', {
    fixtures: fixtures(),
    pan: axis === 'pan' ? to : null,
    tilt: axis === 'tilt' ? to : null,
  })
}
const setZoom = (number: number) =>
  store.send('setValue', { fixtures: fixtures(), attribute: 'zoom', value: { kind: 'number', number } })
const setPool = (diameter: number) =>
  store.send('setValue', { fixtures: fixtures(), attribute: 'zoom', value: { kind: 'pool', diameter } })
const setIntensity = (percent: number) =>
  store.send('setValue', {
    fixtures: fixtures(),
    attribute: 'intensity',
    value: { kind: 'number', number: percent / 100 },
  })
const clear = () => store.send('clearHand', { families: [...FAMILIES], fixtures: null })
</script>

<template>
  <aside class="flex min-h-0 flex-col border-l border-rule bg-deck" aria-label="In hand">
    <header class="flex items-baseline justify-between border-b border-rule px-3 py-2.5">
      <h2 class="text-mist">In hand</h2>
      <span class="text-sm" :class="hand.inWords.value ? 'text-coral' : 'text-haze'">{{
        hand.inWords.value || 'nothing'
      }}</span>
    </header>
    <div class="min-h-0 flex-1 overflow-y-auto">
      <FamilyRow
        family="position"
        :taken="hand.take.value.includes('position')"
        :summary="positionSummary"
        :in-hand="inHand('position')"
      >
        <div class="mt-2 flex flex-col gap-2">
          <TargetPicker
            :show="show"
            :current="aim.id"
            :current-name="aim.name"
            :offset="aim.offset"
            :disabled="none"
            @pick="pickTarget"
          />
          <p v-if="none" class="text-sm text-haze">
            Select on the plan or type numbers; then drop the light on a target, or press A and click anywhere on the
            stage.
          </p>
          <template v-else>
            <AimTable :fixtures="chosen" />
            <div class="grid grid-cols-2 gap-2">
              <NumberEntry
                label="pan"
                placeholder="differs"
                unit="degrees"
                :shown="
                  mixed(
                    shared((f) => f.position.pose.pan),
                    2,
                  )
                "
                @keep="turn('pan', $event)"
              />
              <NumberEntry
                label="tilt"
                placeholder="differs"
                unit="degrees"
                :shown="
                  mixed(
                    shared((f) => f.position.pose.tilt),
                    2,
                  )
                "
                @keep="turn('tilt', $event)"
              />
            </div>
          </template>
        </div>
      </FamilyRow>
      <FamilyRow
        family="beam"
        :taken="hand.take.value.includes('beam')"
        :summary="summaryOf('beam')"
        :in-hand="inHand('beam')"
      >
        <div v-if="!none" class="mt-2 grid grid-cols-2 gap-2">
          <NumberEntry
            label="zoom"
            placeholder="differs"
            unit="degrees"
            :shown="
              mixed(
                shared((f) => f.zoom.angle),
                1,
              )
            "
            @keep="setZoom"
          />
          <NumberEntry label="pool" placeholder="none set" unit="metres" :shown="mixed(zoom.pool, 2)" @keep="setPool" />
        </div>
        <p v-if="!none && zoom.unfit" class="mt-1 text-sm text-coral">
          {{ zoom.unfit }} cannot make the pool asked for.
        </p>
      </FamilyRow>
      <FamilyRow
        family="intensity"
        :taken="hand.take.value.includes('intensity')"
        :summary="summaryOf('intensity')"
        :in-hand="inHand('intensity')"
      >
        <div v-if="!none" class="mt-2 flex items-center gap-2">
          <div class="w-20 shrink-0">
            <NumberEntry
              label="level"
              placeholder="differs"
              unit="per cent"
              :shown="intensity === null ? '' : String(intensity)"
              @keep="setIntensity"
            />
          </div>
          <button type="button" class="chip mt-4" @click="setIntensity(0)">Out</button>
          <button type="button" class="chip mt-4" @click="setIntensity(50)">Half</button>
          <button type="button" class="chip mt-4" @click="setIntensity(100)">Full</button>
        </div>
      </FamilyRow>
      <FamilyRow
        v-for="family in ['colour', 'gobo', 'shutters'] as const"
        :key="family"
        :family="family"
        :taken="hand.take.value.includes(family)"
        :summary="summaryOf(family)"
        :in-hand="inHand(family)"
      />
    </div>
    <RecordForm :show="show" @clear="clear" />
  </aside>
</template>
