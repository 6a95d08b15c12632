<script setup lang="ts">
/** What every key does. A key is changed by pressing its button and then the new one. */
import { computed, ref } from 'vue'
import { ACTIONS, FIXED_KEYS, keyOf, type ActionId } from '../../keys/actions'
import { useKeyMap } from '../../stores/keys'
import PlainDialog from './PlainDialog.vue'

defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const map = useKeyMap()
/** The action that waits for its new key. */
const waiting = ref<ActionId | null>(null)
const trouble = ref<string | null>(null)

const sections = computed(() =>
  ['Stage', 'Selecting', 'The hand', 'Palettes', 'Cues', 'Everywhere'].map((name) => ({
    name,
    fixed: FIXED_KEYS.filter(({ section }) => section === name),
    actions: ACTIONS.filter(({ section }) => section === name),
  })),
)

function begin(action: ActionId) {
  waiting.value = action
  trouble.value = null
}

function onKey(event: KeyboardEvent) {
  if (waiting.value === null || ['Shift', 'Control', 'Alt', 'Meta'].includes(event.key)) return
  event.preventDefault()
  event.stopPropagation()
  if (event.key !== 'Escape') trouble.value = map.bind(waiting.value, keyOf(event))
  if (trouble.value === null) waiting.value = null
}

function close() {
  waiting.value = null
  trouble.value = null
  emit('close')
}
</script>

<template>
  <PlainDialog :open="open" title="Keyboard map" wide @close="close">
    <div class="overflow-y-auto px-5 py-4" @keydown.capture="onKey">
      <div class="gap-8 sm:columns-2">
        <section v-for="section in sections" :key="section.name" class="mb-4 break-inside-avoid">
          <h3 class="mb-1 text-mist">{{ section.name }}</h3>
          <dl>
            <div v-for="{ key, does } in section.fixed" :key="key" class="flex items-center gap-3 py-0.5">
              <dt class="min-w-0 flex-1 text-sm text-mist">{{ does }}</dt>
              <dd class="key shrink-0">{{ key }}</dd>
            </div>
            <div v-for="action in section.actions" :key="action.id" class="flex items-center gap-3 py-0.5">
              <dt class="min-w-0 flex-1">{{ action.name }}</dt>
              <dd>
                <button
                  type="button"
                  class="chip min-w-12 py-0.5 font-mono"
                  :class="waiting === action.id ? 'chip-on' : ''"
                  :aria-label="`${action.name}: ${map.keys.get(action.id)}. Change its key`"
                  @click="begin(action.id)"
                >
                  {{ waiting === action.id ? 'press a key' : map.keys.get(action.id) }}
                </button>
              </dd>
            </div>
          </dl>
        </section>
      </div>
    </div>
    <footer class="flex items-center gap-3 border-t border-rule px-5 py-3">
      <p class="min-w-0 flex-1 text-sm" :class="trouble ? 'text-coral' : 'text-mist'" role="status">
        {{ trouble ?? 'Press a key’s button, then the key you want instead. Kept in this browser.' }}
      </p>
      <button
        v-if="Object.keys(map.changed).length"
        type="button"
        class="quiet-button py-1.5"
        @click="((trouble = null), map.reset())"
      >
        First keys again
      </button>
      <button type="button" class="main-button py-1.5" @click="close">Close</button>
    </footer>
  </PlainDialog>
</template>
