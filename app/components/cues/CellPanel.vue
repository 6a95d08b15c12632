<script setup lang="ts">
/** The cells chosen in the carry sheet: what stands there and where it comes from, and what can be done with it. */
import { LEADING } from '#core/attributes/catalogue'
import { computed, ref } from 'vue'
import { WHERE } from '#core/cues/editing'
import { heldInCue } from '#core/cues/heldInCue'
import { numberOfFixture } from '#core/show/cells'
import { rangeOf } from '#core/show/attributeRange'
import { palettesInOrder } from '#core/palettes/resolve'
import { servedBy } from '#core/palettes/use'
import { valueInWords } from '#core/refocus/paletteLines'
import { attributeName, isNumberAttribute, familyOf, type NumberAttribute } from '#core/attributes/attribute'
import { asPaletteId } from '#core/show/ids'
import { attributesInUse } from '#core/show/attributesKnown'
import { attributesOf } from '#core/show/masks'
import { rigOf } from '#core/show/rig'
import { isLoose } from '#core/show/values'
import type { Show } from '#core/show/show'
import { numberTyped } from '#core/show/numberTyped'
import { NOT_A_NUMBER } from '../../composables/forms/numbers'
import { UNIT_SIGNS } from '../../composables/forms/unitNames'
import { useCuesRoom, type ChosenCells } from '../../stores/cuesRoom'
import { useMessages } from '../../stores/messages'
import { useShow } from '../../stores/show'
import CuesTogether from './CuesTogether.vue'
import { plural } from '#core/show/counted'

const props = defineProps<{ show: Show; cells: ChosenCells }>()
const store = useShow()
const room = useCuesRoom()
const messages = useMessages()
const where = ref<(typeof WHERE)[number]>('here and on')
const palette = ref('')
const level = ref('')

/** Whether the list stands in one of the cues. */
const isLive = computed(() => props.cells.cues.some((id) => id === room.list?.list.onStage))
function putOnStage() {
  const [cue] = props.cells.cues
  if (room.list && cue) void store.send('goToCue', { list: room.list.id, cue, seconds: 0 })
}
const one = computed(() => {
  const [cue, fixture] = [props.cells.cues[0], props.cells.fixtures[0]]
  return props.cells.cues.length === 1 && props.cells.fixtures.length === 1 && cue && fixture ? { cue, fixture } : null
})
const title = computed(() => {
  const { cues, fixtures } = props.cells
  const numbers = cues.map((id) => props.show.all.cue.get(id)?.number ?? '')
  const whom = fixtures.map((id) => numberOfFixture(props.show, id))
  const list = (all: readonly unknown[]) => (all.length > 4 ? `${all[0]} to ${all.at(-1)}` : all.join(', '))
  return {
    cues: `${plural(cues.length, 'Cue')} ${list(numbers)}`,
    whom: `${plural(fixtures.length, 'fixture')} ${list(whom)}`,
  }
})

/** Everything the fixture has in the cue, with where each comes from and how far it goes. */
const held = computed(() => {
  if (!one.value) return []
  const { cue, fixture } = one.value
  const type = rigOf(props.show).get(fixture)?.type
  const numberOf = (id: string) => props.show.all.cue.get(id)?.number
  return heldInCue(props.show, cue, fixture).map(({ attribute, stored: { value, mark }, from, last }) => ({
    name: attributeName(attribute),
    family: familyOf(attribute),
    words: valueInWords(props.show, value, attribute, type),
    palette: value.kind === 'link' ? value.palette : null,
    from: from && { id: from, number: numberOf(from) },
    goes: last === cue ? 'ends here' : `to cue ${numberOf(last)}`,
    mark,
    isLoose: isLoose(value) && attribute !== LEADING.light,
    isOfFamily: familyOf(attribute) === room.family,
  }))
})
type Held = (typeof held.value)[number]
/** Attributes of a family that come from one palette and go as far are one line. */
const lines = computed(() => {
  const found = new Map<string, Held>()
  for (const line of held.value) {
    const key = `${line.family} ${line.palette ?? line.name} ${line.from?.id} ${line.goes} ${line.mark}`
    const known = found.get(key)
    found.set(key, known ? { ...known, name: known.family } : line)
  }
  return [...found.values()].sort((a, b) => Number(b.isOfFamily) - Number(a.isOfFamily))
})

const attribute = ref<NumberAttribute>(LEADING.light)
const attributes = computed(() => attributesOf(room.family, attributesInUse(props.show)).filter(isNumberAttribute))
const settable = computed(() => (attributes.value.includes(attribute.value) ? attribute.value : attributes.value[0]))
const unit = computed(() => {
  const [first] = props.cells.fixtures
  const type = first && rigOf(props.show).get(first)?.type
  return type && settable.value ? rangeOf(type, settable.value).unit : 'level'
})
const palettes = computed(() => {
  const fixtures = new Set<string>(props.cells.fixtures)
  return palettesInOrder(props.show).filter(({ id }) => servedBy(props.show, id).some(({ id: f }) => fixtures.has(f)))
})
const choice = computed(() => ({
  cues: [...props.cells.cues],
  fixtures: [...props.cells.fixtures],
  families: [room.family],
}))

function setLevel() {
  const typed = numberTyped(level.value.replace('%', ''))
  if (typed === null || !settable.value) return messages.say(NOT_A_NUMBER, 'trouble')
  void store.send('setNumberInCues', {
    cues: choice.value.cues,
    fixtures: choice.value.fixtures,
    attribute: settable.value,
    number: unit.value === 'level' ? typed / 100 : typed,
    where: where.value,
  })
}
function link() {
  const { cues, fixtures } = choice.value
  void store.send('setPaletteInCues', { cues, fixtures, palette: asPaletteId(palette.value), where: where.value })
}
function copy() {
  const [from] = props.cells.cues
  if (from) room.copied = { from, fixtures: props.cells.fixtures }
}
function paste() {
  if (!room.copied) return
  const { from, fixtures } = room.copied
  const to = choice.value.cues.filter((cue) => cue !== from)
  if (to.length === 0) return messages.say('Choose another cue to put the copied cells in.', 'trouble')
  void store.send('copyInCues', { from, to, fixtures: [...fixtures], families: [room.family], what: 'all it shows' })
}
const copiedWords = computed(() => {
  const number = room.copied && props.show.all.cue.get(room.copied.from)?.number
  return number ? `Paste those of cue ${number}` : 'Paste'
})
</script>

<template>
  <div class="flex flex-col">
    <header class="border-b border-rule px-4 py-3">
      <div class="flex items-baseline justify-between text-sm text-mist">
        <span>{{ title.cues }}</span>
        <button type="button" class="underline decoration-rule-2 hover:text-sail" @click="room.cells = null">
          Whole cue
        </button>
      </div>
      <h2 class="text-lg font-semibold first-letter:uppercase">{{ title.whom }}</h2>
      <p v-if="isLive" class="text-sm text-kelp">On stage: what changes here is seen at once.</p>
      <p v-else class="text-sm text-mist">
        Not on stage: changed blind.
        <button v-if="cells.cues.length === 1" type="button" class="underline hover:text-sail" @click="putOnStage">
          Put the cue on stage
        </button>
      </p>
    </header>
    <section v-if="one" class="border-b border-rule px-4 py-3" aria-label="What stands here">
      <p v-if="held.length === 0" class="text-sm text-haze">Nothing has been set by this cue.</p>
      <dl class="flex flex-col gap-1.5">
        <div v-for="line in lines" :key="line.name" :class="line.isOfFamily ? '' : 'text-mist'">
          <dt class="flex justify-between gap-2 text-xs text-haze">
            <span class="first-letter:uppercase">{{ line.name }}</span>
            <span v-if="line.mark" class="text-shoal">{{ line.mark }}</span>
            <span v-else-if="line.isLoose" class="text-coral">loose</span>
          </dt>
          <dd class="flex flex-wrap items-baseline justify-between gap-x-2">
            <NuxtLink
              v-if="line.palette"
              class="truncate underline decoration-rule-2 hover:text-coral"
              :to="{ path: `/shows/${show.id}/focus`, query: { palette: line.palette } }"
              >{{ show.all.palette.get(line.palette)?.name }}</NuxtLink
            >
            <span v-else>{{ line.words }}</span>
            <span class="shrink-0 text-sm text-mist">
              <template v-if="line.from"
                >from
                <button
                  type="button"
                  class="underline decoration-rule-2 hover:text-sail"
                  @click="room.choose({ cues: [line.from.id], fixtures: cells.fixtures })"
                >
                  cue {{ line.from.number }}</button
                >, </template
              ><template v-else>set here, </template>{{ line.goes }}
            </span>
          </dd>
        </div>
      </dl>
    </section>
    <section class="flex flex-col gap-2 border-b border-rule px-4 py-3" aria-label="Change">
      <label
        ><span class="block text-xs text-haze">A change counts</span>
        <select v-model="where" class="field font-sans">
          <option v-for="option in WHERE" :key="option" :value="option">{{ option }}</option>
        </select>
      </label>
      <form class="flex items-end gap-1.5" aria-label="Link to a palette" @submit.prevent="link">
        <label class="min-w-0 flex-1"
          ><span class="block text-xs text-haze">palette</span>
          <select v-model="palette" class="field font-sans">
            <option value="">which …</option>
            <option v-for="option in palettes" :key="option.id" :value="option.id">
              {{ option.palette.number }} {{ option.palette.name }}
            </option>
          </select>
        </label>
        <button type="submit" class="quiet-button py-1" :disabled="!palette">Link</button>
      </form>
      <form v-if="settable" class="flex items-end gap-1.5" aria-label="Set a value" @submit.prevent="setLevel">
        <label v-if="attributes.length > 1" class="min-w-0 flex-1"
          ><span class="block text-xs text-haze">attribute</span>
          <select v-model="attribute" class="field font-sans">
            <option v-for="option in attributes" :key="option" :value="option">{{ attributeName(option) }}</option>
          </select>
        </label>
        <label class="min-w-0 flex-1"
          ><span class="block text-xs text-haze">{{ attributeName(settable) }}, {{ UNIT_SIGNS[unit] }}</span>
          <input v-model="level" class="field" inputmode="decimal" />
        </label>
        <button type="submit" class="quiet-button py-1" :disabled="level.trim() === ''">Set</button>
      </form>
      <div class="flex flex-wrap gap-1.5">
        <button
          type="button"
          class="chip"
          title="What the cue sets goes; what is carried comes through"
          @click="store.send('takeOutOfCues', choice)"
        >
          Take out
        </button>
        <button
          type="button"
          class="chip"
          title="Lets go: what lies under the list comes through, in the end what the fixture rests at"
          @click="store.send('setRestInCues', { ...choice, where })"
        >
          Back to rest
        </button>
        <button
          type="button"
          class="chip"
          title="What is carried stands by itself: earlier changes end before it"
          @click="store.send('blockInCues', choice)"
        >
          Block
        </button>
        <button type="button" class="chip" @click="store.send('unblockInCues', choice)">Unblock</button>
        <button
          type="button"
          class="chip"
          title="Values that only repeat what is carried go"
          @click="store.send('cleanUpCues', choice)"
        >
          Clean up
        </button>
        <button type="button" class="chip" :disabled="cells.cues.length !== 1" @click="copy">Copy</button>
        <button type="button" class="chip" :disabled="!room.copied" @click="paste">{{ copiedWords }}</button>
      </div>
      <p class="text-xs text-haze">All of it counts for {{ room.family }}, the family shown.</p>
    </section>
    <CuesTogether v-if="cells.cues.length > 1 && room.list" :show="show" :list="room.list" :cues="cells.cues" />
  </div>
</template>
