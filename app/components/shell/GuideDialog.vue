<script setup lang="ts">
/** The guide, chapter by chapter, as it stands among the documents. */
import { Marked } from 'marked'
import { computed, nextTick, ref } from 'vue'
import guide from '../../../docs/guide.md?raw'
import PlainDialog from './PlainDialog.vue'

defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: [] }>()

const pictures = import.meta.glob<string>('../../../docs/screenshots/*.png', {
  query: '?url',
  import: 'default',
  eager: true,
})
const addressOf = (path: string) => pictures[`../../../docs/${path}`] ?? path

const marked = new Marked({
  walkTokens(token) {
    if (token.type === 'image') token['href'] = addressOf(String(token['href']))
  },
})
/** What comes before the first chapter, then each with its heading. */
const chapters = guide
  .split(/^## /m)
  .slice(1)
  .map((text) => ({ title: text.split('\n')[0] ?? '', html: marked.parse(`## ${text}`, { async: false }) }))
const at = ref(0)
const chapter = computed(() => chapters[at.value])
const page = ref<HTMLElement | null>(null)

async function turnTo(index: number) {
  at.value = Math.min(chapters.length - 1, Math.max(0, index))
  await nextTick()
  page.value?.scrollTo({ top: 0 })
}
</script>

<template>
  <PlainDialog :open="open" title="Guide" wide @close="emit('close')">
    <div class="grid h-[70vh] min-h-0 grid-cols-[230px_minmax(0,1fr)]">
      <nav class="flex min-h-0 flex-col gap-0.5 overflow-y-auto border-r border-rule p-2 text-sm" aria-label="Chapters">
        <button
          v-for="({ title }, i) in chapters"
          :key="title"
          type="button"
          class="rounded-md px-2 py-1 text-left"
          :class="i === at ? 'bg-plank-2 text-sail' : 'text-mist hover:text-sail'"
          :aria-current="i === at"
          @click="turnTo(i)"
        >
          {{ title }}
        </button>
      </nav>
      <!-- eslint-disable vue/no-v-html -- our own document, built in -->
      <article
        ref="page"
        class="guide min-h-0 overflow-y-auto px-6 py-4"
        tabindex="0"
        :aria-label="chapter?.title"
        v-html="chapter?.html"
      />
    </div>
    <footer class="flex justify-end gap-3 border-t border-rule px-5 py-3">
      <button type="button" class="quiet-button" :disabled="at === 0" @click="turnTo(at - 1)">Back</button>
      <button type="button" class="quiet-button" :disabled="at === chapters.length - 1" @click="turnTo(at + 1)">
        Next chapter
      </button>
      <button type="button" class="main-button" @click="emit('close')">Close</button>
    </footer>
  </PlainDialog>
</template>
