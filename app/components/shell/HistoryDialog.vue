<script setup lang="ts">
/** Kept versions of the show: what changed since each, in words, and the way back to it. */
import { computed, ref, watch } from 'vue'
import { formatTimeAgo } from '@vueuse/core'
import type { Show } from '#core/show/show'
import { request, requestRemoval } from '../../session/request'
import { differenceList, nothing, versionList, type Difference, type KeptVersion } from '../../session/versions'
import { useMessages } from '../../stores/messages'
import { useSending } from '../../stores/sending'
import PlainDialog from './PlainDialog.vue'

const props = defineProps<{ open: boolean; show: Show }>()
const emit = defineEmits<{ close: [] }>()
const sending = useSending()
const messages = useMessages()

const versions = ref<readonly KeptVersion[]>([])
const looked = ref<KeptVersion | null>(null)
/** Empty compares with the show as it is now. */
const other = ref('')
const differences = ref<readonly Difference[] | null>(null)
const trouble = ref('')
const name = ref('')
const isSure = ref(false)
const path = computed(() => `/api/shows/${props.show.id}/versions`)

async function load() {
  const answered = await request(path.value, versionList)
  trouble.value = answered.ok ? '' : answered.refusal.message
  if (answered.ok) versions.value = answered.body.versions
}
watch(
  () => props.open,
  (open) => {
    looked.value = null
    if (open) void load()
  },
)
watch([looked, other], async ([version, to]) => {
  differences.value = null
  isSure.value = false
  if (!version) return
  const query = to ? `?to=${to}` : ''
  const answered = await request(`${path.value}/${version.id}/differences${query}`, differenceList)
  trouble.value = answered.ok ? '' : answered.refusal.message
  if (answered.ok && looked.value === version) differences.value = answered.body.differences
})
const sections = computed(() =>
  (['Palettes', 'Cues', 'Rig and stage'] as const)
    .map((section) => ({ section, all: (differences.value ?? []).filter((one) => one.section === section) }))
    .filter(({ all }) => all.length > 0),
)
const HOW = { new: 'new', gone: 'gone', changed: '' } as const

async function keep() {
  const answered = await request(path.value, nothing, { name: name.value })
  trouble.value = answered.ok ? '' : answered.refusal.message
  if (!answered.ok) return
  messages.say(`Kept: ${name.value.trim()}.`)
  name.value = ''
  void load()
}
async function forgetVersion() {
  if (!looked.value) return
  const answered = await requestRemoval(`${path.value}/${looked.value.id}`, nothing)
  trouble.value = answered.ok ? '' : answered.refusal.message
  if (!answered.ok) return
  looked.value = null
  void load()
}
async function restore() {
  if (!looked.value) return
  const { id, name: restored } = looked.value
  const { refusal } = await sending.put({ kind: 'restore', version: id })
  if (refusal) {
    trouble.value = refusal.message
    return
  }
  messages.say(`Restored: ${restored}. Undo takes it back.`)
  emit('close')
}
</script>

<template>
  <PlainDialog :open="open" title="History" wide @close="emit('close')">
    <div class="grid min-h-0 flex-1 grid-cols-[300px_minmax(0,1fr)]">
      <div class="flex min-h-0 flex-col border-r border-rule">
        <form class="flex gap-1.5 border-b border-rule p-3" aria-label="Keep a version" @submit.prevent="keep">
          <input
            v-model="name"
            class="field font-sans"
            placeholder="Name for the show as it is"
            aria-label="Name of the version"
          />
          <button type="submit" class="main-button py-1" :disabled="name.trim() === ''">Keep</button>
        </form>
        <ul class="min-h-0 flex-1 overflow-y-auto p-2" aria-label="Versions">
          <li v-for="version in versions" :key="version.id">
            <button
              type="button"
              class="w-full rounded-md px-2 py-1.5 text-left"
              :class="looked?.id === version.id ? 'bg-plank-2' : 'hover:bg-plank'"
              :aria-pressed="looked?.id === version.id"
              @click="looked = version"
            >
              <span class="block truncate" :class="version.automatic ? 'text-mist' : 'font-semibold'">{{
                version.name
              }}</span>
              <span class="block truncate text-xs text-haze"
                >{{ formatTimeAgo(new Date(version.at)) }}{{ version.by ? `, ${version.by}` : ''
                }}{{ version.automatic ? ', kept by itself' : '' }}</span
              >
            </button>
          </li>
          <li v-if="versions.length === 0" class="p-2 text-sm text-mist">
            Versions stand here. Give the show as it is a name to keep it; before big changes it is kept by itself.
          </li>
        </ul>
      </div>
      <div class="flex min-h-0 flex-col">
        <div v-if="looked" class="flex items-center gap-2 border-b border-rule p-3">
          <span class="shrink-0 text-mist">Since then, up to</span>
          <select v-model="other" class="field font-sans" aria-label="Compared with">
            <option value="">the show as it is now</option>
            <option
              v-for="version in versions.filter(({ id }) => id !== looked?.id)"
              :key="version.id"
              :value="version.id"
            >
              {{ version.name }}
            </option>
          </select>
          <button v-if="!isSure" type="button" class="quiet-button shrink-0 py-1" @click="forgetVersion">
            Forget it
          </button>
          <button v-if="!isSure" type="button" class="quiet-button shrink-0 py-1" @click="isSure = true">
            Restore
          </button>
          <button v-else type="button" class="main-button shrink-0 py-1" @click="restore">Restore all of it</button>
        </div>
        <div class="min-h-0 flex-1 overflow-y-auto p-4" tabindex="0" role="region" aria-label="What changed">
          <p v-if="trouble" class="text-coral" role="alert">{{ trouble }}</p>
          <p v-else-if="!looked" class="text-mist">Choose a version to see what has changed since.</p>
          <p v-else-if="!differences" class="text-mist" role="status">Comparing …</p>
          <p v-else-if="differences.length === 0" class="text-mist">Nothing is different.</p>
          <section v-for="{ section, all } in sections" :key="section" class="mb-4">
            <h3 class="mb-1 font-semibold">
              {{ section }} <span class="font-normal text-haze">{{ all.length }}</span>
            </h3>
            <div v-for="difference in all" :key="difference.what" class="py-1">
              <p>
                {{ difference.what }}
                <span v-if="HOW[difference.how]" :class="difference.how === 'gone' ? 'text-coral' : 'text-kelp'">
                  {{ HOW[difference.how] }}
                </span>
              </p>
              <p v-for="line in difference.lines.slice(0, 8)" :key="line" class="pl-3 text-sm text-mist">{{ line }}</p>
              <p v-if="difference.lines.length > 8" class="pl-3 text-sm text-haze">
                and {{ difference.lines.length - 8 }} more
              </p>
            </div>
          </section>
        </div>
      </div>
    </div>
  </PlainDialog>
</template>
