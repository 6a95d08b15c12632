<script setup lang="ts">
/** Opens a rig file, a fixture type, a drawing or a picture: looked at first, then taken as one change. */
import { computed, ref } from 'vue'
import { counted } from '#core/show/counted'
import { UNIT_NAMES, UNITS, UPS } from '#core/exchange/drawing/units'
import { AXES } from '#core/exchange/gdtf/readType'
import { showRecordOf, type Show } from '#core/show/show'
import { useRigFile } from '../../composables/exchange/useRigFile'
import { useCommit } from '../../composables/forms/useCommit'
import PlainDialog from '../shell/PlainDialog.vue'
import RadioChips from '../fields/RadioChips.vue'
import FileDrop from './FileDrop.vue'
import RigFileItems from './RigFileItems.vue'
import RigFilePlacing, { type DrawingSizes } from './RigFilePlacing.vue'
import RigFilePlan from './RigFilePlan.vue'

const props = defineProps<{ open: boolean; show: Show }>()
const emit = defineEmits<{ close: [] }>()
const { offer } = useCommit()
const rig = useRigFile(() => props.show)
const { name, reading, trouble, isReading, leftHanded, up, placed, isTooFar, plan, items, taken, picture } = rig
const { placement, points, filePoints, placedPoints, isSizedByPoints } = rig.placing
const { lines, shown } = rig.underlay
const { choices, chosen, isTooLarge, willKeep } = rig.keeping
const isTaking = ref(false)
const refused = ref<string | null>(null)
/** What right-handed means of a head that hangs. */
const WAYS = {
  pan: 'Right-handed: seen from above, more pan turns a hanging head against the clock. Left-handed: with it.',
  tilt: 'Right-handed: at pan 0, more tilt leans the light of a hanging head upstage. Left-handed: to the house.',
} as const
const hasPlaces = computed(() => filePoints.value.length > 0)

/** Ratios ground plans are drawn in. */
const RATIOS = [20, 25, 50, 100, 200]
const sizes = computed((): DrawingSizes | null => {
  const drawing = reading.value?.drawing
  if (!drawing) return null
  if (picture.value?.page) {
    const choices = RATIOS.map((scale) => ({ name: `1 : ${scale}`, scale }))
    return { words: 'The page is drawn', unit: 'times', choices }
  }
  if (picture.value) return { words: 'A picture says no size: press two places.', unit: 'm a pixel', choices: [] }
  if (drawing.unit) return { words: `It says it is drawn in ${drawing.unit}.`, unit: 'times', choices: [] }
  const choices = UNIT_NAMES.map((unit) => ({ name: unit, scale: UNITS[unit] }))
  return { words: 'It does not say its unit:', unit: 'times', choices }
})

const summary = computed(() => {
  const known = plan.value
  if (!known) return 'Nothing read yet.'
  if (isTooFar.value)
    return 'Some of it lies further than a kilometre from the stage: say its unit, or where a place of it is on the stage.'
  const parts = [`${counted(taken.value.length, 'thing')} of ${items.value.length} will come in`]
  if (known.same > 0) parts.push(`${counted(known.same, 'fixture')} just as in the show`)
  if (known.missing.length > 0 && hasPlaces.value && !reading.value?.drawing)
    parts.push(`${counted(known.missing.length, 'fixture')} of the show not in the file, which stay`)
  return `${parts.join('; ')}.`
})

async function turnPage(page: number) {
  if (!(page >= 1 && page <= (picture.value?.page?.of ?? 1))) return 'There is no such page.'
  return rig.turnPage(Math.round(page))
}

async function take() {
  isTaking.value = true
  const kept = await rig.input()
  if (kept) refused.value = kept.ok ? await offer('takeRig', kept.input) : kept.refusal.message
  isTaking.value = false
  if (kept && refused.value === null) emit('close')
}
function close() {
  rig.cancel()
  emit('close')
}
</script>

<template>
  <PlainDialog
    :open="open"
    :title="
      reading ? `${name} into ${showRecordOf(show).name}` : 'Open a rig file, a fixture type, a drawing or a picture'
    "
    wide
    @close="close"
  >
    <FileDrop
      v-if="!reading"
      class="m-5 min-h-48"
      accept=".mvr,.gdtf,.dxf,.obj,.glb,.png,.jpg,.jpeg,.pdf"
      :is-reading="isReading"
      :trouble="trouble"
      @open="(file) => rig.open(file)"
      @stop="rig.cancel()"
    >
      Drop a rig file (MVR), a fixture type (GDTF), a drawing of the set (DXF, OBJ, GLB), or a picture or page to lie
      under the plan (PNG, JPEG, PDF) here. You see what is in it before anything comes into the show.
    </FileDrop>
    <div v-else class="grid min-h-0 flex-1" :class="hasPlaces ? 'grid-cols-[minmax(0,5fr)_minmax(0,7fr)]' : ''">
      <div v-if="hasPlaces && placed" class="flex min-h-0 flex-col border-r border-rule">
        <RigFilePlan
          class="min-h-64 flex-1"
          :show="show"
          :rig="placed"
          :points="placedPoints"
          :pressed="points.map(({ key }) => key)"
          :placement="placement"
          :lines="lines"
          :shown="shown"
          @press="rig.placing.press"
          @press-at="rig.placing.pressAt"
        />
        <RigFilePlacing
          class="border-t border-rule p-3"
          :placement="placement"
          :file-points="filePoints"
          :points="points"
          :sizes="sizes"
          :is-sized-by-points="isSizedByPoints"
          @sized="(isSized) => (isSizedByPoints = isSized)"
          @place="rig.placing.setPlacement"
          @press="rig.placing.press"
          @point="rig.placing.setPoint"
        />
      </div>
      <div class="flex min-h-0 flex-col" :class="hasPlaces ? 'h-[62vh]' : 'h-80'">
        <div
          v-if="reading.types.length"
          class="flex flex-wrap items-center gap-2 border-b border-rule px-3 py-2 text-sm"
        >
          <span class="text-mist">Its types count (the standard leaves it open):</span>
          <button
            v-for="axis in AXES"
            :key="axis"
            type="button"
            class="chip px-2 py-0.5"
            :aria-pressed="leftHanded.includes(axis)"
            :title="WAYS[axis]"
            :disabled="isReading"
            @click="rig.turnAxis(axis)"
          >
            {{ axis }} {{ leftHanded.includes(axis) ? 'left-handed' : 'right-handed' }}
          </button>
        </div>
        <div v-if="/\.obj$/i.test(name)" class="flex items-center gap-2 border-b border-rule px-3 py-2 text-sm">
          <span class="text-mist">Which way is up in it:</span>
          <button
            v-for="way in UPS"
            :key="way"
            type="button"
            class="chip px-2 py-0.5"
            :class="up === way ? 'chip-on' : ''"
            :aria-pressed="up === way"
            :disabled="isReading"
            @click="rig.turnUp(way)"
          >
            {{ way }}
          </button>
        </div>
        <div v-if="picture?.page && picture.page.of > 1" class="flex items-end gap-3 border-b border-rule px-3 py-2">
          <NumberField
            class="w-40"
            :label="`Page, of ${picture.page.of}`"
            unit=""
            :digits="0"
            :value="picture.page.number"
            :keep="turnPage"
          />
          <p v-if="isReading" class="py-0.5" role="status">
            Reading … <button type="button" class="chip ml-2 px-2 py-0.5" @click="rig.cancel()">Stop</button>
          </p>
        </div>
        <div v-if="choices.length" class="flex flex-col gap-1.5 border-b border-rule px-3 py-2 text-sm">
          <span class="text-mist">
            {{
              isTooLarge
                ? 'Too large to be kept: what of it has no place here does not go out again.'
                : 'The file itself, so that what has no place here goes out again:'
            }}
          </span>
          <RadioChips v-model="chosen" label="Keeping the file" :options="choices" />
        </div>
        <RigFileItems
          class="min-h-0 flex-1"
          :items="items"
          :notes="plan?.notes ?? []"
          :is-taken="rig.isTaken"
          @take="rig.take"
        />
      </div>
    </div>
    <footer class="flex items-center justify-end gap-3 border-t border-rule px-5 py-3">
      <p v-if="refused" class="mr-auto text-coral" role="alert">{{ refused }}</p>
      <p v-else class="mr-auto text-mist" role="status">{{ summary }}</p>
      <button type="button" class="quiet-button" @click="close">Cancel</button>
      <button
        type="button"
        class="main-button"
        :disabled="(taken.length === 0 && !willKeep) || isTaking || isTooFar"
        @click="take"
      >
        {{
          taken.length === 0 && willKeep
            ? 'Keep the file'
            : `Take ${taken.length === items.length ? 'all' : taken.length}`
        }}
      </button>
    </footer>
  </PlainDialog>
</template>
