<script setup lang="ts">
/** What can be done with a group besides picking it. */
import { MoreVertical } from '@lucide/vue'
import { computed, ref } from 'vue'
import { extensionsOf } from '#core/groups/extension'
import type { OrderedGroup } from '#core/groups/groups'
import { patternInWords } from '#core/selection/patterns'
import { PALETTE_COLOURS } from '#core/show/entities'
import { useProposal } from '../../stores/proposal'
import { useSelection } from '../../stores/selection'
import { useShow } from '../../stores/show'
import { useDialogs } from '../../stores/dialogs'
import { COLOUR_GROUND } from '../shelf/paletteColours'
import FloatingPanel from '../shell/FloatingPanel.vue'
import GroupMembers from './GroupMembers.vue'
import NameForm from './NameForm.vue'

const props = defineProps<{ group: OrderedGroup }>()
const store = useShow()
const proposal = useProposal()
const selection = useSelection()
const dialogs = useDialogs()
const renaming = ref(false)
const isEditing = ref(false)

const storable = computed(() => (selection.pattern?.kind === 'group' ? null : selection.pattern))
const item = 'w-full rounded px-2 py-1 text-left hover:bg-plank-2 disabled:opacity-50'
async function rename(name: string, close: () => void) {
  if (!(await store.send('changeGroup', { group: props.group.id, name }))) return
  renaming.value = false
  close()
}

/** The members become the selection, in its order. */
async function update(close: () => void) {
  close()
  const { id } = props.group
  await proposal.offerOrSay('changeGroup', { group: id, fixtures: [...selection.whole] })
  if (!proposal.current) offerExtending()
}

/** What was made for the group may now leave some of its members out. */
function offerExtending() {
  const { id } = props.group
  if (store.view && extensionsOf(store.view, id).length > 0) dialogs.extendingGroup = id
}

function finishEditing(close: () => void) {
  isEditing.value = false
  close()
  offerExtending()
}
</script>

<template>
  <FloatingPanel
    class="shrink-0"
    :label="`More for group ${group.group.name}`"
    button-class="rounded p-1 text-haze hover:text-sail"
  >
    <template #button><MoreVertical :size="14" aria-hidden="true" /></template>
    <template #default="{ close }">
      <NameForm
        v-if="renaming"
        label="New name"
        :name="group.group.name"
        @keep="(name) => rename(name, close)"
        @cancel="renaming = false"
      />
      <div v-else-if="isEditing" class="flex flex-col gap-1.5 p-1">
        <GroupMembers :group="group" @proposed="((isEditing = false), close())" />
        <button type="button" class="main-button py-1.5" @click="finishEditing(close)">Done</button>
      </div>
      <template v-else>
        <button type="button" :class="item" @click="renaming = true">Rename</button>
        <button type="button" :class="item" @click="isEditing = true">Members and order …</button>
        <button type="button" :class="item" :disabled="!selection.whole.length" @click="update(close)">
          Members from the selection
        </button>
        <button
          v-if="storable"
          type="button"
          :class="item"
          @click="(store.send('changeGroup', { group: group.id, pattern: storable }), close())"
        >
          Keep the pattern “{{ patternInWords(storable) }}”
        </button>
        <button
          v-if="group.group.pattern"
          type="button"
          :class="item"
          @click="(store.send('changeGroup', { group: group.id, pattern: null }), close())"
        >
          Let go of its pattern, {{ patternInWords(group.group.pattern) }}
        </button>
        <button type="button" :class="item" @click="((dialogs.extendingGroup = group.id), close())">
          Extend what was made for it …
        </button>
        <div class="flex gap-1 px-2 py-1.5" role="group" aria-label="Colour of the group">
          <button
            v-for="colour in PALETTE_COLOURS"
            :key="colour"
            type="button"
            class="size-5 rounded-full border-2"
            :class="[COLOUR_GROUND[colour], colour === group.group.colour ? 'border-sail' : 'border-transparent']"
            :aria-label="colour"
            :aria-pressed="colour === group.group.colour"
            @click="(store.send('changeGroup', { group: group.id, colour }), close())"
          />
        </div>
        <button
          type="button"
          :class="[item, 'text-coral']"
          @click="(store.send('deleteGroup', { group: group.id }), close())"
        >
          Take the group out
        </button>
      </template>
    </template>
  </FloatingPanel>
</template>
