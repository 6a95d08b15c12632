<script setup lang="ts">
/** A fixture type in full. It is worked on as a draft and kept as a whole. */
import { LEADING } from '#core/attributes/catalogue'
import { computed, ref } from 'vue'
import { counted, plural } from '#core/show/counted'
import type { Wheel } from '#core/show/entities'
import type { FixtureTypeId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { useCommit } from '../../composables/forms/useCommit'
import { useTypeDraft, type DraftMode, type TypeDraft } from '../../composables/rig/useTypeDraft'
import { useTypeTest } from '../../composables/rig/useTypeTest'
import { useWheelPictures } from '../../composables/rig/useWheelPictures'
import { newWheel } from '../../composables/rig/wheels'
import BeamPicture from '../shelf/BeamPicture.vue'
import KeptFiles from '../exchange/KeptFiles.vue'
import RadioChips from '../fields/RadioChips.vue'
import AxisFields from './AxisFields.vue'
import ChannelTable from './ChannelTable.vue'
import OpticsTable from './OpticsTable.vue'
import ReachPicture from './ReachPicture.vue'
import CellLights from './CellLights.vue'
import TypeAttributes from './TypeAttributes.vue'
import TypeCells from './TypeCells.vue'
import TypeMixing from './TypeMixing.vue'
import TypeRemoval from './TypeRemoval.vue'
import TypeShutters from './TypeShutters.vue'
import TypeTest from './TypeTest.vue'
import WheelFields from './WheelFields.vue'

const props = defineProps<{
  show: Show
  /** Null for a type that is not in the show yet. */
  type: FixtureTypeId | null
  stored: TypeDraft
}>()
const emit = defineEmits<{ added: [name: string]; copy: [draft: TypeDraft]; leave: [] }>()
const { keep, offer } = useCommit()
const { draft, isChanged, set, putBack } = useTypeDraft(() => props.stored)
const trouble = ref<string | null>(null)
const isLeaving = ref(false)
const modeIndex = ref(0)
const mode = computed(() => draft.value.modes[Math.min(modeIndex.value, draft.value.modes.length - 1)])
const PAGES = ['What it is', 'Try it out'] as const
const page = ref<(typeof PAGES)[number]>('What it is')
const test = useTypeTest(
  () => draft.value,
  () => mode.value?.channels ?? [],
)
const { light, cells } = test
const cssOf = ({ red, green, blue }: (typeof light.value)['colour']) =>
  `rgb(${[red, green, blue].map((part) => Math.round(255 * part)).join(' ')})`
const turns = computed(() => draft.value.has.includes(LEADING.place))
const users = computed(() => [...props.show.all.fixture.values()].filter((f) => f.type === props.type).length)

const pictures = useWheelPictures(
  () => props.show,
  () => props.type,
)
const files = computed(() => {
  const file = props.type === null ? undefined : props.show.all.typeFile.get(props.type)
  return file ? [{ kind: 'typeFile' as const, id: file.type, name: file.entry || file.name, size: file.size }] : []
})

const FORMS = [
  { key: 'profile', name: 'Profile' },
  { key: 'wash', name: 'Wash' },
  { key: 'beam', name: 'Narrow beam' },
  { key: 'lamp', name: 'Lamp' },
] as const
const LENS = [
  { key: 'across', label: 'Lens, across' },
  { key: 'normal', label: 'Square to the beam' },
  { key: 'forward', label: 'Forward' },
] as const

async function store() {
  const { modes, ...fields } = draft.value
  const input = { ...fields, modes: modes.map((known) => ({ ...known, channels: [...known.channels] })) }
  if (props.type === null) {
    const named = input.modes.map(({ name, channels }) => ({ name, channels }))
    trouble.value = await keep('addType', { ...fields, modes: named })
    if (trouble.value === null) emit('added', draft.value.name)
  } else trouble.value = await offer('changeType', { type: props.type, ...input })
}

function putWheel(index: number, wheel: Wheel) {
  return set({ wheels: draft.value.wheels.map((known, i) => (i === index ? wheel : known)) }, `wheels.${index}`)
}
function addWheel(kind: Wheel['kind']) {
  void set({ wheels: [...draft.value.wheels, newWheel(kind)] }, 'wheels')
}

function putMode(change: Partial<DraftMode>, path: string) {
  const index = Math.min(modeIndex.value, draft.value.modes.length - 1)
  const modes = draft.value.modes.map((known, i) => (i === index ? { ...known, ...change } : known))
  return set({ modes }, `modes.${index}.${path}`)
}
function addMode() {
  const { modes } = draft.value
  const from = mode.value
  if (!from) return
  void set({ modes: [...modes, { ...from, id: null, name: `Mode ${modes.length + 1}` }] }, 'modes')
  modeIndex.value = modes.length
}
function removeMode() {
  const index = Math.min(modeIndex.value, draft.value.modes.length - 1)
  void set({ modes: draft.value.modes.filter((_, i) => i !== index) }, 'modes')
  modeIndex.value = 0
}
</script>

<template>
  <div class="grid min-h-0 grid-cols-[minmax(0,1fr)_316px]">
    <div class="flex min-h-0 flex-col gap-5 overflow-y-auto px-5 py-4" role="region" aria-label="Type" tabindex="0">
      <RadioChips v-model="page" class="w-56" label="Page of the type" :options="PAGES" />
      <TypeTest v-if="page === 'Try it out' && mode" :mode="mode.name" :test="test" />
      <template v-else>
        <div class="grid grid-cols-[1fr_1fr_140px] gap-2">
          <TextField label="Maker" :shown="draft.maker" :keep="(maker) => set({ maker }, 'maker')" />
          <TextField label="Name of the type" :shown="draft.name" :keep="(name) => set({ name }, 'name')" />
          <ChoiceField label="Drawn as" :value="draft.form" :options="FORMS" :keep="(form) => set({ form }, 'form')" />
        </div>
        <template v-if="turns">
          <AxisFields name="Pan" :axis="draft.pan" :keep="(pan) => set({ pan }, 'pan')" />
          <AxisFields name="Tilt" :axis="draft.tilt" :keep="(tilt) => set({ tilt }, 'tilt')" />
        </template>
        <p v-else class="text-sm text-mist">
          It has no pan and tilt: it points where it was hung, by the turn, pitch and roll of each fixture. Give it
          position, below, where it turns.
        </p>
        <section aria-labelledby="type-body">
          <h3 id="type-body" class="mb-1 text-sm font-semibold">Where the axes and the lens are</h3>
          <div class="grid grid-cols-4 gap-2">
            <NumberField
              label="Pivot below the hang"
              unit="m"
              :digits="3"
              :value="draft.pivotDrop"
              :keep="(pivotDrop) => set({ pivotDrop }, 'pivotDrop')"
            />
            <NumberField
              v-for="{ key, label } in LENS"
              :key="key"
              :label="label"
              unit="m"
              :digits="3"
              :value="draft.lens[key]"
              :keep="(value) => set({ lens: { ...draft.lens, [key]: value } }, `lens.${key}`)"
            />
          </div>
        </section>
        <section aria-labelledby="type-zoom">
          <h3 id="type-zoom" class="mb-1 text-sm font-semibold">Zoom</h3>
          <OpticsTable
            :maker="draft.maker"
            :name="draft.name"
            :optics="draft.optics"
            :keep="(optics, row) => set({ optics }, `optics.${row}`)"
          />
        </section>
        <TypeAttributes :type="draft" :keep="set" />
        <TypeCells :type="draft" :keep="set" />
        <TypeMixing :type="draft" :keep="set" />
        <TypeShutters :type="draft" />
        <section aria-labelledby="type-wheels" class="flex flex-col gap-2">
          <h3 id="type-wheels" class="text-sm font-semibold">Wheels</h3>
          <WheelFields
            v-for="(wheel, i) in draft.wheels"
            :key="i"
            :wheel="wheel"
            :pictures="pictures.get(wheel.name)"
            :keep="(next) => putWheel(i, next)"
            @remove="set({ wheels: draft.wheels.filter((_, j) => j !== i) }, 'wheels')"
          />
          <div class="flex gap-1.5">
            <button type="button" class="chip" @click="addWheel('colour')">Add a colour wheel</button>
            <button type="button" class="chip" @click="addWheel('gobo')">Add a gobo wheel</button>
            <button type="button" class="chip" @click="addWheel('prism')">Add a prism</button>
          </div>
        </section>
        <section v-if="mode" aria-labelledby="type-modes" class="flex flex-col gap-2">
          <h3 id="type-modes" class="text-sm font-semibold">Modes and their channels</h3>
          <div class="flex items-end gap-1.5">
            <div class="flex gap-1" role="radiogroup" aria-label="Mode">
              <button
                v-for="(known, i) in draft.modes"
                :key="i"
                type="button"
                role="radio"
                :aria-checked="known === mode"
                class="chip"
                :class="known === mode ? 'chip-on' : ''"
                @click="modeIndex = i"
              >
                {{ known.name }}
              </button>
            </div>
            <button type="button" class="chip" @click="addMode">Add a mode</button>
            <TextField
              class="ml-auto w-40"
              label="Name of the mode"
              :shown="mode.name"
              :keep="(name) => putMode({ name }, 'name')"
            />
            <button v-if="draft.modes.length > 1" type="button" class="chip" @click="removeMode">Take out</button>
          </div>
          <ChannelTable
            :key="modeIndex"
            :type="draft"
            :mode="mode.name"
            :channels="mode.channels"
            :keep="(channels, row) => putMode({ channels }, row === null ? 'channels' : `channels.${row}`)"
          />
        </section>
      </template>
    </div>
    <aside
      class="flex min-h-0 flex-col gap-4 overflow-y-auto border-l border-rule bg-deck p-4"
      aria-label="Reach and keeping"
    >
      <ReachPicture v-if="turns" :pan="draft.pan" :tilt="draft.tilt" :at="page === 'Try it out' ? light : undefined" />
      <figure v-if="page === 'Try it out' && light.beam">
        <BeamPicture
          class="w-full rounded-lg border border-rule bg-night px-3 py-2"
          :look="light.beam"
          :style="{ color: cssOf(light.colour) }"
        />
        <figcaption class="mt-1 text-sm text-mist">
          {{ cells.length ? 'The light of its first cell' : 'Its light' }}: how wide, and its pool looking with it.
        </figcaption>
      </figure>
      <CellLights v-if="page === 'Try it out' && cells.length" :cells="cells" />
      <p class="text-sm text-mist">
        {{
          type === null
            ? 'Not in the show yet.'
            : users === 0
              ? 'No fixture is of this type.'
              : `${counted(users, 'fixture is', 'fixtures are')} of this type and ${plural(users, 'changes', 'change')} with it.`
        }}
      </p>
      <p v-if="trouble" class="text-sm text-coral" role="alert">{{ trouble }}</p>
      <div class="flex gap-2">
        <button type="button" class="main-button flex-1 py-1.5" :disabled="type !== null && !isChanged" @click="store">
          {{ type === null ? 'Add the type' : isChanged ? 'Keep changes' : 'Nothing changed' }}
        </button>
        <button
          type="button"
          class="quiet-button py-1.5"
          :disabled="type !== null && !isChanged"
          @click="type === null ? emit('leave') : putBack()"
        >
          Put back
        </button>
      </div>
      <KeptFiles :files="files" />
      <div v-if="type !== null" class="flex gap-1.5">
        <button type="button" class="chip" @click="emit('copy', draft)">Copy as a new type</button>
        <button type="button" class="chip" :class="isLeaving ? 'chip-on' : ''" @click="isLeaving = true">
          Take out
        </button>
      </div>
      <TypeRemoval v-if="isLeaving && type !== null" :show="show" :type="type" @back="isLeaving = false" />
    </aside>
  </div>
</template>
