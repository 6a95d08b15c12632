<script setup lang="ts">
/** The links that let people in, what each lets do and until when, and the way to end one. */
import { formatTimeAgo } from '@vueuse/core'
import type { ListedLink } from '../../session/access'

defineProps<{ links: readonly ListedLink[] }>()
const emit = defineEmits<{ end: [id: string] }>()

function about({ role, endsAt, guests, show }: ListedLink): string {
  const until = endsAt ? `ends ${formatTimeAgo(new Date(endsAt))}` : 'until it is ended'
  const used = guests === 0 ? 'not used yet' : guests === 1 ? '1 browser' : `${guests} browsers`
  return [role, ...(show === null ? ['every show'] : []), until, used].join(', ')
}
</script>

<template>
  <ul class="min-h-0 flex-1 overflow-y-auto p-2" aria-label="Links">
    <li v-for="link in links" :key="link.id" class="flex items-center gap-2 rounded-md px-2 py-1.5 hover:bg-plank">
      <span class="min-w-0 flex-1">
        <span class="block truncate" :class="link.label ? '' : 'text-mist'">{{
          link.label || 'For nobody by name'
        }}</span>
        <span class="block truncate text-xs text-haze">{{ about(link) }}</span>
      </span>
      <button
        type="button"
        class="chip shrink-0"
        :aria-label="`End the link for ${link.label || 'nobody by name'}`"
        @click="emit('end', link.id)"
      >
        End
      </button>
    </li>
    <li v-if="links.length === 0" class="p-2 text-sm text-mist">
      No link lets anybody in. Make one for whoever works with you; end it and they are out at once.
    </li>
  </ul>
</template>
