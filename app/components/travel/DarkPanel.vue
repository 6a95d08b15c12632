<script setup lang="ts">
/** Plans moves in the dark: for whom, when, what stays live; what that comes to before it is kept. */
import { computed, ref } from 'vue'
import { FAMILIES } from '#core/attributes/families'
import { darkRulesOf } from '#core/cues/darkRules'
import { numbersInWords } from '#core/selection/written'
import { counted } from '#core/show/counted'
import { asCueId } from '#core/show/ids'
import { showRecordOf, type Show } from '#core/show/show'
import { useCuesRoom } from '../../stores/cuesRoom'
import { useDarkPlan, type DarkScope, type DarkWhen, type MovingFamily } from '../../stores/darkPlan'
import { useSelection } from '../../stores/selection'
import { useShow } from '../../stores/show'
import CheckBar from './CheckBar.vue'
import CheckProgress from './CheckProgress.vue'

const props = defineProps<{ show: Show }>()
const store = useShow()
const room = useCuesRoom()
const plan = useDarkPlan()
const selection = useSelection()

const record = computed(() => showRecordOf(props.show))
const ORDERS = [
  { key: 'early', name: 'early' },
  { key: 'late', name: 'late' },
] as const
async function keepMargin(seconds: number): Promise<string | null> {
  const refusal = await store.ask('changeShow', { darkMargin: seconds })
  return refusal?.message ?? null
}

const scopes = computed<{ key: DarkScope; name: string }[]>(() => [
  { key: 'list', name: 'all' },
  { key: 'cue', name: `cue ${room.cue?.cue.number ?? ''}` },
  { key: 'fixtures', name: selection.order.size > 0 ? `${selection.order.size} selected` : 'selected' },
  { key: 'lines', name: plan.chosen.size > 0 ? counted(plan.chosen.size, 'line') : 'lines' },
])
const WHENS: readonly { key: DarkWhen; name: string }[] = [
  { key: 'planned', name: 'as the show' },
  { key: 'early', name: 'early' },
  { key: 'late', name: 'late' },
  { key: 'in cue', name: 'in a cue' },
  { key: 'live', name: 'live' },
]
const nobody = computed(() => {
  if (plan.whom) return ''
  if (plan.scope === 'fixtures') return 'Select fixtures first, in a row of Travel or by number.'
  return plan.scope === 'lines' ? 'Choose lines of the table first.' : ''
})

function nameCue({ target }: Event) {
  if (target instanceof HTMLSelectElement) plan.inCue = target.value ? asCueId(target.value) : null
}

const MOVING = FAMILIES.filter((family): family is MovingFamily => family !== 'intensity')
function toggleLive(family: MovingFamily) {
  plan.live = plan.live.includes(family) ? plan.live.filter((one) => one !== family) : [...plan.live, family]
}

const summary = computed(() => {
  const { goes, wrongPlace, noTime, onPurpose } = plan.tally
  const parts = [
    goes > 0 ? `${counted(goes, 'cue')} in place before` : '',
    wrongPlace > 0 ? `${counted(wrongPlace, 'cue')} lit on the way` : '',
    noTime > 0 ? `${counted(noTime, 'cue')} without the time` : '',
    onPurpose > 0 ? `${counted(onPurpose, 'cue')} live on purpose` : '',
  ]
  return parts.filter((part) => part).join(', ') || 'Everything is in place when it lights.'
})

const rules = computed(() => {
  const owners = room.list ? [room.list.id, ...room.list.cues.map(({ id }) => id)] : []
  return owners.flatMap((owner) => darkRulesOf(props.show, owner)).length
})
async function strip() {
  if (room.list) await store.send('stripDarkMoves', { list: room.list.id })
}

/** The line looked at, where one is chosen. */
const line = computed(() => plan.lines.find(({ key }) => plan.chosen.has(key)) ?? null)
const seconds = ref<number | null>(null)
/** As long as the slowest needs, with what is kept before and after. */
const length = computed(() => {
  const margin = 2 * record.value.darkMargin
  return seconds.value ?? Math.ceil(((line.value?.needs ?? 1) + margin) * 10) / 10
})
async function keepLength(value: number): Promise<null> {
  seconds.value = value
  return null
}
async function insert(follow: 'after' | 'wait') {
  if (!line.value) return
  const { cue, fixtures } = line.value
  const isDone = await store.send('insertDarkCue', { cue, fixtures: [...fixtures], follow, seconds: length.value })
  if (isDone) plan.putBack()
}
</script>

<template>
  <div class="flex flex-col">
    <header class="border-b border-rule px-4 py-3">
      <h2 class="text-xl font-semibold">Moves in the dark</h2>
      <p class="text-sm text-mist">
        What lights in another place, colour, beam or gobo goes there before. It follows cues, palettes, rig and room,
        and is never recorded.
      </p>
      <p class="mt-1" :class="plan.found ? 'text-shoal' : ''" role="status">
        {{ plan.found ? `It would be: ${summary}` : summary }}
      </p>
      <div v-if="plan.part !== null" class="mt-2 flex items-center gap-2">
        <CheckBar :part="plan.part" label="Working out the plan" />
        <button type="button" class="chip px-1.5" @click="plan.putBack()">Stop</button>
      </div>
      <CheckProgress v-else />
    </header>
    <section class="flex flex-col gap-2 border-b border-rule px-4 py-3" aria-labelledby="dark-plan-title">
      <h3 id="dark-plan-title" class="font-semibold">Plan</h3>
      <SwitchField label="For whom" :options="scopes" :value="plan.scope" @choose="(key) => (plan.scope = key)" />
      <p v-if="nobody" class="text-sm text-coral">{{ nobody }}</p>
      <div class="flex flex-wrap gap-1" role="radiogroup" aria-label="When">
        <button
          v-for="{ key, name } in WHENS"
          :key="key"
          type="button"
          role="radio"
          class="chip px-2"
          :class="plan.when === key ? 'chip-on' : ''"
          :aria-checked="plan.when === key"
          @click="plan.when = key"
        >
          {{ name }}
        </button>
      </div>
      <label v-if="plan.when === 'in cue'" class="flex items-center gap-2 text-sm text-mist">
        In cue
        <select class="chip min-w-0 flex-1" :value="plan.inCue ?? ''" @change="nameCue">
          <option value="">choose one</option>
          <option v-for="{ id, cue } in room.list?.cues ?? []" :key="id" :value="id">
            {{ cue.number }} {{ cue.name }}
          </option>
        </select>
      </label>
      <div v-if="plan.when !== 'live'" class="flex flex-wrap items-center gap-1" role="group" aria-label="Stays live">
        <span class="mr-1 text-sm text-mist">Stays live</span>
        <button
          v-for="family in MOVING"
          :key="family"
          type="button"
          class="chip px-2"
          :class="plan.live.includes(family) ? 'chip-on' : ''"
          :aria-pressed="plan.live.includes(family)"
          @click="toggleLive(family)"
        >
          {{ family }}
        </button>
      </div>
      <div class="mt-1 flex flex-wrap gap-1.5">
        <template v-if="plan.isTrying">
          <button type="button" class="chip border-coral text-coral" :disabled="!plan.tried" @click="plan.keep()">
            Keep
          </button>
          <button type="button" class="chip" @click="plan.putBack()">Put back</button>
          <span v-if="!plan.tried && plan.asked" class="self-center text-sm text-mist">That is said already.</span>
        </template>
        <button v-else type="button" class="chip" :disabled="!plan.asked" @click="plan.begin()">Show the plan</button>
        <button v-if="rules > 0" type="button" class="chip ml-auto" @click="strip">Strip all</button>
      </div>
    </section>
    <section v-if="line" class="flex flex-col gap-2 border-b border-rule px-4 py-3" aria-labelledby="dark-line-title">
      <h3 id="dark-line-title" class="font-semibold">
        Cue {{ show.all.cue.get(line.cue)?.number }}, {{ numbersInWords(show, line.fixtures) }}
      </h3>
      <p class="text-sm text-mist">
        Its motors and wheels need {{ line.needs.toFixed(1) }} s<template v-if="line.short !== null"
          >, {{ line.short.toFixed(1) }} s more than there is</template
        >.
      </p>
      <div class="flex flex-wrap items-end gap-1.5" data-narrow>
        <NumberField class="w-24" label="A cue before it" unit="s" :value="length" :keep="keepLength" />
        <button type="button" class="chip" @click="insert('after')">that comes by itself</button>
        <button type="button" class="chip" @click="insert('wait')">that is called</button>
      </div>
    </section>
    <section class="flex flex-col gap-2 px-4 py-3" aria-labelledby="dark-show-title">
      <h3 id="dark-show-title" class="font-semibold">In this show</h3>
      <div class="flex items-end gap-2" data-narrow>
        <SwitchField
          label="As the show"
          :options="ORDERS"
          :value="record.darkWhen"
          @choose="(darkWhen) => store.send('changeShow', { darkWhen })"
        />
        <NumberField
          class="w-36"
          label="Between light and move"
          unit="s"
          :value="record.darkMargin"
          :keep="keepMargin"
        />
      </div>
      <p class="text-sm text-haze">
        Early: as soon as it is dark. Late: as late as it still gets there. Nothing moves during cues marked quiet.
      </p>
    </section>
  </div>
</template>
