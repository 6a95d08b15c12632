<script setup lang="ts">
/** Places one fixture or a row: "8 along Bar 1, 1.2 m apart, centred, numbered from 11". */
import { computed, reactive, ref, watch } from 'vue'
import { asFixtureTypeId, type HangId } from '#core/show/ids'
import { modesOf } from '#core/show/modes'
import { hangsOf } from '#core/show/rig'
import type { Show } from '#core/show/show'
import { numberTyped } from '#core/show/numberTyped'
import { MOUNTINGS } from '../../composables/rig/rigWords'
import { useDraftForm } from '../../composables/forms/useDraftForm'
import { nextNumber } from '#core/show/freeNumbers'

const props = defineProps<{ show: Show; hang: HangId | null }>()
const emit = defineEmits<{ done: [numberFrom: number, count: number] }>()

const hangs = computed(() => hangsOf(props.show).map(({ id, hang }) => ({ key: id, name: hang.name })))
const types = computed(() =>
  [...props.show.all.fixtureType].map(([id, { maker, name }]) => ({
    key: asFixtureTypeId(id),
    name: `${maker} ${name}`,
  })),
)
const onHang = ref<HangId | null>(props.hang ?? hangs.value[0]?.key ?? null)
const type = ref(types.value[0]?.key ?? null)
const modes = computed(() =>
  modesOf(props.show, type.value ?? '').map(({ id, mode }) => ({ key: id, name: mode.name })),
)
const picked = ref<string | null>(null)
const mode = computed({
  get: () => modes.value.find(({ key }) => key === picked.value)?.key ?? modes.value[0]?.key ?? null,
  set: (key) => (picked.value = key),
})
const mounting = ref<(typeof MOUNTINGS)[number]['key'] | null>('hung')

const free = computed(() => nextNumber(props.show.all.fixture.values()))
const draft = reactive({
  count: '8',
  gap: '1.2',
  middle: '0',
  numberFrom: String(free.value),
  drop: '0.12',
  out: '0',
  yaw: '0',
  pitch: '0',
})
/** What stands on the floor stands; what is on an upright hang has no drop. */
watch(
  onHang,
  (id) => {
    const form = id && props.show.all.hang.get(id)?.form
    mounting.value = form === 'floor' ? 'standing' : 'hung'
    draft.drop = form === 'floor' || form === 'boom' ? '0' : '0.12'
  },
  { immediate: true },
)
const number = (text: string) => numberTyped(text) ?? NaN
const row = computed(() => ({
  mode: mode.value,
  count: number(draft.count),
  gap: draft.gap.trim() === '' ? null : number(draft.gap),
  middle: number(draft.middle),
  numberFrom: number(draft.numberFrom),
  out: number(draft.out),
  drop: number(draft.drop),
  yaw: number(draft.yaw),
  pitch: number(draft.pitch),
  roll: MOUNTINGS.find(({ key }) => key === mounting.value)?.roll ?? 0,
}))
const input = computed(() =>
  onHang.value && type.value ? { hang: onHang.value, type: type.value, ...row.value } : null,
)
const FIELDS = ['count', 'gap', 'middle', 'numberFrom', 'out', 'drop', 'yaw', 'pitch']
const { troubleAt, send } = useDraftForm(
  'placeFixtures',
  () => input.value,
  () => emit('done', row.value.numberFrom, row.value.count),
)
const sentence = computed(() => {
  const where = hangs.value.find(({ key }) => key === onHang.value)?.name ?? 'a hang'
  const apart = draft.gap.trim() === '' ? 'spread evenly' : `${draft.gap} m apart`
  const middle = row.value.middle === 0 ? 'centred' : `round ${draft.middle} m`
  return `${draft.count} along ${where}, ${apart}, ${middle}, numbered from ${draft.numberFrom}`
})
</script>

<template>
  <p v-if="hangs.length === 0" class="text-sm text-mist">Fixtures hang on something: hang a bar first.</p>
  <form v-else class="flex flex-col gap-2.5" aria-label="Row of fixtures" @submit.prevent="send">
    <div class="grid grid-cols-2 gap-2">
      <DraftChoice v-model="onHang" label="Along" :options="hangs" />
      <DraftText v-model="draft.numberFrom" label="Numbered from" :trouble="troubleAt('numberFrom')" />
      <DraftChoice v-model="type" label="Type" :options="types" />
      <DraftChoice v-model="mode" label="Mode" :options="modes" />
    </div>
    <div class="grid grid-cols-3 gap-2">
      <DraftText v-model="draft.count" label="How many" :trouble="troubleAt('count')" />
      <DraftText v-model="draft.gap" label="Apart" unit="m" placeholder="evenly" :trouble="troubleAt('gap')" />
      <DraftText v-model="draft.middle" label="Round" unit="m" :trouble="troubleAt('middle')" />
    </div>
    <DraftChoice v-model="mounting" label="Mounted" :options="MOUNTINGS" />
    <div class="grid grid-cols-4 gap-2">
      <DraftText v-model="draft.drop" label="Drop" unit="m" :trouble="troubleAt('drop')" />
      <DraftText v-model="draft.out" label="Out" unit="m" :trouble="troubleAt('out')" />
      <DraftText v-model="draft.yaw" label="Turned" unit="°" :trouble="troubleAt('yaw')" />
      <DraftText v-model="draft.pitch" label="Pitched" unit="°" :trouble="troubleAt('pitch')" />
    </div>
    <p v-if="troubleAt(null, FIELDS)" class="text-sm text-coral" role="alert">{{ troubleAt(null, FIELDS) }}</p>
    <p class="text-sm text-mist">{{ sentence }}</p>
    <button type="submit" class="main-button py-1.5">Place {{ draft.count === '1' ? 'it' : 'them' }}</button>
  </form>
</template>
