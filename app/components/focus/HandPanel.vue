<script setup lang="ts">
/** Right of the desk: what is in hand, family by family, and what recording it would take. */
import { computed } from 'vue'
import { metresInWords } from '#core/refocus/words'
import { familyOf, FAMILIES, type Family } from '#core/show/families'
import { targetsOf } from '#core/show/targets'
import type { Show } from '#core/show/show'
import { useHand } from '../../composables/useHand'
import { useSelectionSummary } from '../../composables/useSelectionSummary'
import { useSelection } from '../../stores/selection'
import { useDesk } from '../../stores/desk'
import { useShow } from '../../stores/show'
import AimTable from './AimTable.vue'
import FamilyRow from './FamilyRow.vue'
import NumberEntry from './NumberEntry.vue'
import RecordForm from './RecordForm.vue'
import TargetPicker from './TargetPicker.vue'

const props = defineProps<{ show: Show }>()
const store = useShow()
const desk = useDesk()
const selection = useSelection()
const hand = useHand()
const { chosen, none, shared, aim, positionSummary, zoom, intensity } = useSelectionSummary()

const targets = computed(() => targetsOf(props.show))
const fixtures = () => [...selection.fixtures]
const fixed = (value: number | null, digits: number) => (value === null ? '' : value.toFixed(digits))

/** What is in hand of a family for the selection. */
const heldOf = (family: Family) =>
  hand.held.value.filter(({ fixture, attribute }) => familyOf(attribute) === family && selection.order.has(fixture))
const inHand = computed(() => new Set(FAMILIES.filter((family) => heldOf(family).length > 0)))

function summaryOf(family: Family): string {
  if (none.value) return ''
  if (family === 'beam')
    return zoom.value.pool === null ? zoom.value.span : `pool ${metresInWords(zoom.value.pool)} from every fixture`
  if (family === 'intensity') return intensity.value === null ? 'different levels' : `${intensity.value} %`
  return sourcesOf(family)
}

/** The palettes a family of the selection comes from, where it is in hand. */
function sourcesOf(family: Family): string {
  const names = heldOf(family).map(({ value }) =>
    value.kind === 'link' ? (store.view?.all.palette.get(value.palette)?.name ?? '') : 'set by hand',
  )
  return [...new Set(names)].join(', ')
}

const turn = (axis: 'pan' | 'tilt', degrees: number) => {
  const to = { how: 'to', degrees } as const
  return store.send('turnHeads', {
    fixtures: fixtures(),
    pan: axis === 'pan' ? to : null,
    tilt: axis === 'tilt' ? to : null,
  })
}
const setNumber = (attribute: 'zoom' | 'intensity', number: number) =>
  store.send('setValue', { fixtures: fixtures(), attribute, value: { kind: 'number', number } })
const setPool = (diameter: number) =>
  store.send('setValue', { fixtures: fixtures(), attribute: 'zoom', value: { kind: 'pool', diameter } })
const setIntensity = (percent: number) => setNumber('intensity', percent / 100)
const clear = () => store.send('clearHand', { families: [...FAMILIES], fixtures: null })
</script>

<template>
  <aside class="flex min-h-0 flex-col border-l border-rule bg-deck contain-strict" aria-label="In hand">
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
        :in-hand="inHand.has('position')"
      >
        <div class="mt-2 flex flex-col gap-2">
          <TargetPicker
            :targets="targets"
            :current="aim.id"
            :current-name="aim.name"
            :offset="aim.offset"
            :disabled="none"
            @pick="desk.aimAt"
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
                  fixed(
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
                  fixed(
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
        :in-hand="inHand.has('beam')"
      >
        <div v-if="!none" class="mt-2 grid grid-cols-2 gap-2">
          <NumberEntry
            label="zoom"
            placeholder="differs"
            unit="degrees"
            :shown="
              fixed(
                shared((f) => f.zoom.angle),
                1,
              )
            "
            @keep="setNumber('zoom', $event)"
          />
          <NumberEntry label="pool" placeholder="none set" unit="metres" :shown="fixed(zoom.pool, 2)" @keep="setPool" />
        </div>
        <p v-if="!none && zoom.unfit" class="mt-1 text-sm text-coral">
          {{ zoom.unfit }} cannot make the pool asked for.
        </p>
      </FamilyRow>
      <FamilyRow
        family="intensity"
        :taken="hand.take.value.includes('intensity')"
        :summary="summaryOf('intensity')"
        :in-hand="inHand.has('intensity')"
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
        :in-hand="inHand.has(family)"
      />
    </div>
    <RecordForm :show="show" @clear="clear" />
  </aside>
</template>
