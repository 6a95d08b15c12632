<script setup lang="ts">
/** Right of the stage: what is in hand, family by family, and what recording it would take. */
import { LEADING } from '#core/attributes/catalogue'
import { EyeOff, Import, Waves } from '@lucide/vue'
import { computed, ref, useTemplateRef } from 'vue'
import { kindOf } from '#core/attributes/attribute'
import { POOL_RANGE } from '#core/show/attributeRange'
import { changedNumber, typedChange, type NumberChange } from '#core/hand/change'
import { metresInWords } from '#core/geometry/lengthInWords'
import { familyOf } from '#core/attributes/attribute'
import { FAMILIES, type Family } from '#core/attributes/families'
import type { Show } from '#core/show/show'
import { useBlind } from '../../composables/hand/useBlind'
import { useHand } from '../../composables/hand/useHand'
import { familyInWords, isAway } from '../../composables/hand/attributeWords'
import { useHandAttributes, type HandAttribute } from '../../composables/hand/useHandAttributes'
import { useHandColour } from '../../composables/hand/useHandColour'
import { useOpenFamilies } from '../../composables/hand/useOpenFamilies'
import { useSelectionSummary } from '../../composables/hand/useSelectionSummary'
import { useActions } from '../../composables/keys/useActions'
import { useStage } from '../../stores/stage'
import { useSelection } from '../../stores/selection'
import { useShow } from '../../stores/show'
import TypedField from '../fields/TypedField.vue'
import AttributeRow from './AttributeRow.vue'
import ColourPicker from '../colour/ColourPicker.vue'
import FanPanel from './FanPanel.vue'
import HighlightMenu from './HighlightMenu.vue'
import NeutralMenu from './NeutralMenu.vue'
import PositionPart from './PositionPart.vue'
import TakePanel from './TakePanel.vue'
import FloatingPanel from '../shell/FloatingPanel.vue'
import FamilyRow from './FamilyRow.vue'
import ShutterPicture from './ShutterPicture.vue'
import RecordForm from '../record/RecordForm.vue'

const props = defineProps<{ show: Show }>()
const store = useShow()
const stage = useStage()
const selection = useSelection()
const hand = useHand()
const blind = useBlind()
const { none, positionSummary, zoom } = useSelectionSummary()
const { ofFamily } = useHandAttributes()
const colour = useHandColour()
const { isOpen, toggle } = useOpenFamilies()
const takePanel = useTemplateRef<InstanceType<typeof FloatingPanel>>('takePanel')

/** The families shown below position, with what they are made of. */
const OTHERS = ['intensity', 'beam', 'colour', 'gobo', 'shutters'] as const satisfies readonly Family[]

/** What is in hand of a family for the selection. */
const heldOf = (family: Family) =>
  hand.held.value.filter(({ fixture, attribute }) => familyOf(attribute) === family && selection.order.has(fixture))
const inHand = computed(() => new Set(FAMILIES.filter((family) => heldOf(family).length > 0)))

/** Those of them that any selected fixture has; all while nothing is selected. */
const families = computed(() =>
  none.value
    ? OTHERS
    : OTHERS.filter(
        (family) =>
          ofFamily(family).length > 0 ||
          inHand.value.has(family) ||
          (family === 'colour' && colour.able.value.length > 0),
      ),
)

/** Parts of others at rest, a gobo's turn or shake, are there when asked for. */
const whole = ref<readonly Family[]>([])
const isPart = ({ attribute }: HandAttribute) => kindOf(attribute).of !== undefined
const rowsOf = (family: Family) =>
  ofFamily(family).filter((row) => whole.value.includes(family) || !isPart(row) || isAway(row) || row.isHeld)
const hiddenOf = (family: Family) => ofFamily(family).length - rowsOf(family).length

/** What a family shows that is not in hand. */
const shownOf = (family: Family) =>
  [family === 'colour' ? colour.inWords.value : '', familyInWords(ofFamily(family))].filter((said) => said).join(', ')

/** The palettes a family of the selection comes from, where it is in hand; else what it shows. */
function summaryOf(family: Family): string {
  if (none.value) return ''
  if (!inHand.value.has(family)) return isOpen(family) ? '' : shownOf(family)
  if (family === 'beam' && zoom.value.pool !== null) return `pool ${metresInWords(zoom.value.pool)} from every fixture`
  const names = heldOf(family).map(({ value }) =>
    value.kind === 'link' ? (props.show.all.palette.get(value.palette)?.name ?? '') : 'set by hand',
  )
  return [...new Set(names)].join(', ')
}

function home(family: Family) {
  void store.send('goHome', { fixtures: [...selection.fixtures], families: [family] })
}
useActions({
  take: () => takePanel.value?.toggle(),
  home: () => {
    if (!none.value) void store.send('goHome', { fixtures: [...selection.fixtures], families: [...FAMILIES] })
  },
})
/** A pool is set, or changed from what is set. */
function readPool(text: string) {
  const change = typedChange(text, false)
  return change?.how === 'to' || zoom.value.pool !== null ? change : null
}
function setPool(change: NumberChange) {
  const diameter = changedNumber(zoom.value.pool ?? 0, change, POOL_RANGE)
  const fixtures = [...selection.fixtures]
  if (diameter) void store.send('setValue', { fixtures, attribute: LEADING.width, value: { kind: 'pool', diameter } })
}
const setLevel = (number: number) =>
  store.send('setValue', {
    fixtures: [...selection.fixtures],
    attribute: LEADING.light,
    value: { kind: 'number', number },
  })
</script>

<template>
  <aside class="flex min-h-0 flex-col border-l border-rule bg-deck" aria-label="In hand">
    <header class="flex flex-col gap-1.5 border-b border-rule px-3 py-2">
      <div class="flex items-baseline justify-between">
        <h2 class="text-mist">In hand</h2>
        <span class="truncate text-sm" :class="hand.inWords.value ? 'text-coral' : 'text-haze'">{{
          hand.inWords.value || 'nothing'
        }}</span>
      </div>
      <div class="flex gap-1">
        <button
          type="button"
          class="chip flex items-center gap-1"
          :class="stage.isFanArmed ? 'chip-on' : ''"
          :aria-pressed="stage.isFanArmed"
          :disabled="none"
          @click="stage.isFanArmed = !stage.isFanArmed"
        >
          <Waves :size="13" class="max-[1100px]:hidden" aria-hidden="true" />Fan
        </button>
        <HighlightMenu />
        <NeutralMenu />
        <FloatingPanel
          ref="takePanel"
          class="shrink-0"
          button-class="chip flex items-center gap-1"
          panel-class="w-72 p-2.5"
          label="Take into the hand"
        >
          <template #button><Import :size="13" class="max-[1100px]:hidden" aria-hidden="true" />Take</template>
          <template #default="{ close }"><TakePanel :show="show" :close="close" /></template>
        </FloatingPanel>
        <IconButton
          :icon="EyeOff"
          :size="14"
          class="chip ml-auto flex items-center px-1.5"
          :class="blind.isBlind.value ? 'chip-on' : ''"
          :aria-pressed="blind.isBlind.value"
          aria-label="Blind"
          title="Blind: work on without touching what the stage shows"
          @click="blind.set(!blind.isBlind.value)"
        />
      </div>
    </header>
    <div class="min-h-0 flex-1 overflow-y-auto">
      <FanPanel v-if="stage.isFanArmed && !none" :show="show" />
      <FamilyRow
        family="position"
        :taken="hand.take.value.includes('position')"
        :summary="positionSummary"
        :in-hand="inHand.has('position')"
        :open="isOpen('position')"
        @toggle="toggle('position')"
        @home="home('position')"
      >
        <PositionPart :show="show" />
      </FamilyRow>
      <FamilyRow
        v-for="family in families"
        :key="family"
        :family="family"
        :taken="hand.take.value.includes(family)"
        :summary="summaryOf(family)"
        :in-hand="inHand.has(family)"
        :open="isOpen(family)"
        @toggle="toggle(family)"
        @home="home(family)"
      >
        <template #heading>
          <button
            v-if="hiddenOf(family) > 0"
            type="button"
            class="shrink-0 text-xs text-haze hover:text-sail"
            title="Parts that are at rest: how things turn, shake and spin"
            @click="whole = [...whole, family]"
          >
            {{ hiddenOf(family) }} more
          </button>
        </template>
        <ColourPicker v-if="family === 'colour' && colour.able.value.length > 0" :show="show" />
        <div v-if="ofFamily(family).length" class="mt-1.5 flex flex-col gap-1">
          <ShutterPicture v-if="family === 'shutters'" :attributes="ofFamily(family)" />
          <AttributeRow v-for="attribute in rowsOf(family)" :key="attribute.attribute" :attribute="attribute" />
          <div v-if="family === 'intensity'" class="flex gap-1.5">
            <button
              v-for="(level, name) in { Out: 0, Half: 0.5, Full: 1 }"
              :key="name"
              type="button"
              class="chip flex-1 py-0.5"
              @click="setLevel(level)"
            >
              {{ name }}
            </button>
          </div>
          <div v-if="family === 'beam' && !none" class="flex items-center gap-1.5">
            <span class="w-[92px] shrink-0 text-sm" :class="zoom.pool === null ? 'text-mist' : ''">Pool</span>
            <p class="min-w-0 flex-1 truncate text-xs" :class="zoom.unfit ? 'text-coral' : 'text-haze'">
              {{
                zoom.unfit ? `${zoom.unfit} cannot make it` : zoom.pool === null ? 'none set' : 'kept wherever they aim'
              }}
            </p>
            <TypedField
              class="mr-[22px] w-[74px] shrink-0"
              label="pool in metres"
              :shown="zoom.pool === null ? '' : zoom.pool.toFixed(2)"
              :read="readPool"
              @keep="setPool"
            />
          </div>
        </div>
      </FamilyRow>
    </div>
    <RecordForm :show="show" />
  </aside>
</template>
