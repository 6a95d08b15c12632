<script setup lang="ts">
/** Short words that come and go; trouble stays until it is read. */
import { X } from '@lucide/vue'
import { useMessages, type Message } from '../../stores/messages'

const messages = useMessages()

function act(message: Message, run: () => void) {
  messages.drop(message.id)
  run()
}
</script>

<template>
  <div
    class="fixed bottom-3 left-1/2 z-30 flex max-h-[50vh] w-max max-w-[min(92vw,620px)] -translate-x-1/2 flex-col gap-2 overflow-y-auto"
    :class="messages.list.length > 3 ? '' : 'pointer-events-none'"
  >
    <div
      v-for="message in messages.list"
      :key="message.id"
      class="pointer-events-auto flex shrink-0 items-start gap-3 rounded-lg border bg-plank px-3 py-2 shadow-lg shadow-night/60"
      :class="message.tone === 'trouble' ? 'border-coral' : 'border-rule-2'"
      :role="message.tone === 'trouble' ? 'alert' : 'status'"
    >
      <p class="text-sail">{{ message.text }}</p>
      <button
        v-for="action in message.actions"
        :key="action.label"
        type="button"
        class="chip shrink-0"
        @click="act(message, action.run)"
      >
        {{ action.label }}
      </button>
      <IconButton
        :icon="X"
        :size="15"
        class="ml-1 shrink-0 text-mist hover:text-sail"
        aria-label="Close"
        @click="messages.drop(message.id)"
      />
    </div>
  </div>
</template>
