<script setup lang="ts">
/** A dialog for things with a beginning and an end. */
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'

defineProps<{ open: boolean; title: string; wide?: boolean }>()
const emit = defineEmits<{ close: [] }>()
</script>

<template>
  <Dialog :open="open" class="fixed inset-0 z-50" @close="emit('close')">
    <div class="absolute inset-0 bg-night/70" aria-hidden="true" />
    <div class="absolute inset-0 flex items-center justify-center p-6">
      <DialogPanel
        class="flex max-h-full w-full flex-col rounded-xl border border-rule-2 bg-deck shadow-2xl shadow-night"
        :class="wide ? 'max-w-4xl' : 'max-w-md'"
      >
        <DialogTitle class="border-b border-rule px-5 py-3 text-lg font-semibold">{{ title }}</DialogTitle>
        <slot />
      </DialogPanel>
    </div>
  </Dialog>
</template>
