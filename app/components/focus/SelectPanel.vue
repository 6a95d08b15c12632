<script setup lang="ts">
/** Left of the desk: type a selection, click on hangs drawn to scale, pick groups. */
import { computed, nextTick, ref } from 'vue'
import { parseEntry } from '#core/selection/entry'
import { hangsOf, membersOf, rigOf, type RiggedHang } from '#core/show/rig'
import type { Show } from '#core/show/show'
import type { FixtureId } from '#core/show/ids'
import { useDialogs } from '../../stores/dialogs'
import { useProposal } from '../../stores/proposal'
import { useSelection } from '../../stores/selection'
import { useShow } from '../../stores/show'
import HangStrip from './HangStrip.vue'

const props = defineProps<{ show: Show }>()
const store = useShow()
const selection = useSelection()
const proposal = useProposal()
const dialogs = useDialogs()

const entry = ref('')
const trouble = ref<string | null>(null)
const field = ref<HTMLInputElement | null>(null)
const byNumber = computed(() => new Map([...rigOf(props.show)].map(([id, rigged]) => [rigged.fixture.number, id])))
const hangs = computed(() => hangsOf(props.show))
const groups = computed(() =>
  [...props.show.all.group].map(([id, group]) => ({ id, ...group })).sort((a, b) => a.number - b.number),
)
const isWhole = (ids: readonly FixtureId[]) =>
  ids.length > 0 && ids.length === selection.fixtures.length && ids.every((id, i) => selection.fixtures[i] === id)

function select() {
  const result = parseEntry(entry.value, byNumber.value)
  trouble.value = result.ok ? null : result.message
  if (!result.ok) return
  selection.set(result.fixtures)
  entry.value = ''
  field.value?.blur()
}

/** Begins an entry with the key that was pressed anywhere in the room. */
async function startWith(key: string) {
  entry.value = key
  await nextTick()
  field.value?.focus()
}

function pickGroup(id: string, event: MouseEvent) {
  const members = membersOf(props.show).get(id) ?? []
  if (event.shiftKey) selection.add(members)
  else selection.set(members)
}

const naming = ref(false)
const groupName = ref('')

async function recordGroup() {
  const name = groupName.value.trim()
  if (!name) return
  const number = Math.floor(Math.max(0, ...groups.value.map((group) => group.number))) + 1
  if (await store.send('recordGroup', { number, name, fixtures: [...selection.fixtures] })) {
    naming.value = false
    groupName.value = ''
  }
}

function retrim(hang: RiggedHang, height: number) {
  proposal.propose('moveHang', { hang: hang.id, origin: { ...hang.place.origin, z: height } }, true)
}

defineExpose({ startWith })
</script>

<template>
  <aside class="flex min-h-0 flex-col gap-2 overflow-y-auto border-r border-rule bg-deck p-3" aria-label="Select">
    <form @submit.prevent="select">
      <div class="mb-1.5 flex items-baseline justify-between">
        <label for="entry" class="text-mist">Select</label>
        <span class="text-sm" :class="selection.fixtures.length ? 'font-semibold text-coral' : 'text-haze'">
          {{ selection.fixtures.length }} selected
        </span>
      </div>
      <input
        id="entry"
        ref="field"
        v-model="entry"
        class="field px-2.5 py-1.5 text-base"
        placeholder="12-17, 21"
        autocomplete="off"
        :aria-invalid="trouble !== null"
        aria-describedby="entry-trouble"
        @keydown.esc="((entry = ''), (trouble = null), field?.blur())"
      />
      <p id="entry-trouble" role="alert" class="mt-1 text-sm text-coral" :class="trouble ? '' : 'hidden'">
        {{ trouble }}
      </p>
    </form>
    <div v-if="hangs.length === 0" class="rounded-md border border-dashed border-rule-2 p-3 text-mist">
      <p>Hangs and their fixtures belong here. Bring them in from a table.</p>
      <button type="button" class="chip mt-2" @click="dialogs.open = 'import'">Import a rig</button>
    </div>
    <HangStrip v-for="hang in hangs" :key="hang.id" :hang="hang" @retrim="retrim(hang, $event)" />
    <section aria-labelledby="groups-title" class="mt-1">
      <div class="mb-1.5 flex items-baseline justify-between">
        <h2 id="groups-title" class="text-mist">Groups</h2>
        <button
          v-if="selection.fixtures.length && !naming"
          type="button"
          class="text-sm text-mist underline hover:text-sail"
          @click="naming = true"
        >
          Keep selection
        </button>
      </div>
      <form v-if="naming" class="mb-2 flex gap-1" @submit.prevent="recordGroup">
        <input
          v-model="groupName"
          class="field font-sans"
          placeholder="Name of the group"
          aria-label="Name of the group"
          autofocus
          @keydown.esc="naming = false"
        />
        <button type="submit" class="chip" :disabled="!groupName.trim()">Keep</button>
      </form>
      <p v-if="groups.length === 0 && !naming" class="text-sm text-haze">Select fixtures, then keep them as a group.</p>
      <div class="flex flex-wrap gap-1.5">
        <button
          v-for="group in groups"
          :key="group.id"
          type="button"
          class="chip"
          :class="isWhole(membersOf(show).get(group.id) ?? []) ? 'chip-on' : ''"
          @click="pickGroup(group.id, $event)"
        >
          {{ group.name }}
        </button>
      </div>
    </section>
  </aside>
</template>
