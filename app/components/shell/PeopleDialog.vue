<script setup lang="ts">
/** Who is in, and for owners the links that let people in. */
import { useIntervalFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { ROLE_IN_WORDS } from '#core/access/roles'
import type { PersonId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { peopleList, type Presence } from '../../session/access'
import { request, requestRemoval } from '../../session/request'
import { nothing } from '../../session/versions'
import { useLinks } from '../../composables/shell/useLinks'
import { useShow } from '../../stores/show'
import FreshLink from './FreshLink.vue'
import LinkForm from './LinkForm.vue'
import LinkList from './LinkList.vue'
import PeopleList from './PeopleList.vue'
import PlainDialog from './PlainDialog.vue'

const props = defineProps<{ open: boolean; show: Show }>()
const emit = defineEmits<{ close: [] }>()
const store = useShow()
const { links, addresses, fresh, trouble, load: loadLinks, make, end } = useLinks(() => props.show.id)
const people = ref<readonly Presence[]>([])
const peopleTrouble = ref('')
const isOwner = computed(() => store.role === 'owns')

async function loadPeople() {
  const answered = await request(`/api/shows/${props.show.id}/people`, peopleList)
  peopleTrouble.value = answered.ok ? '' : answered.refusal.message
  if (answered.ok) people.value = answered.body.people
}
/** People come and go while one looks. */
const again = useIntervalFn(() => void loadPeople(), 10_000, { immediate: false })
watch(
  () => props.open,
  (open) => {
    again.pause()
    fresh.value = null
    if (!open) return
    again.resume()
    void loadPeople()
    if (isOwner.value) void loadLinks()
  },
)
watch(
  () => props.show.all.person,
  () => props.open && void loadPeople(),
)

async function takeOut(person: PersonId) {
  const answered = await requestRemoval(`/api/shows/${props.show.id}/people/${person}`, nothing)
  await loadPeople()
  if (!answered.ok) peopleTrouble.value = answered.refusal.message
}
async function endLink(id: string) {
  await end(id)
  await loadPeople()
}
async function leave() {
  const answered = await requestRemoval('/api/in', nothing)
  if (answered.ok) window.location.assign('/')
  else peopleTrouble.value = answered.refusal.message
}
</script>

<template>
  <PlainDialog :open="open" title="People and links" :wide="isOwner" @close="emit('close')">
    <div
      class="grid flex-1"
      :class="isOwner ? 'min-h-[min(480px,70vh)] grid-cols-[320px_minmax(0,1fr)] overflow-y-auto' : 'min-h-0'"
    >
      <div class="flex min-h-0 flex-col" :class="isOwner ? 'border-r border-rule' : ''">
        <p v-if="peopleTrouble" class="p-3 text-coral" role="alert">{{ peopleTrouble }}</p>
        <PeopleList :show="show" :people="people" @take-out="takeOut" />
        <div v-if="store.isByLink" class="flex items-center gap-3 border-t border-rule p-3">
          <p class="min-w-0 flex-1 text-sm text-mist">
            A link let you in: who {{ store.role }} {{ ROLE_IN_WORDS[store.role] }}.
          </p>
          <button type="button" class="quiet-button shrink-0 py-1" @click="leave">Leave</button>
        </div>
      </div>
      <div v-if="isOwner" class="flex min-h-0 flex-col">
        <p v-if="trouble" class="p-3 text-coral" role="alert">{{ trouble }}</p>
        <LinkList :links="links" @end="endLink" />
        <FreshLink v-if="fresh" :link="fresh" />
        <p v-if="addresses.length === 0" class="border-t border-rule p-3 text-sm text-mist">
          This server can be reached from its own machine alone. Started with <span class="key">HOST=0.0.0.0</span> it
          can be reached over the network too, by whoever has a link.
        </p>
        <LinkForm @make="make" />
      </div>
    </div>
  </PlainDialog>
</template>
