<script setup lang="ts">
/** A link that was just made, to be copied or read by a phone: it is shown this once. */
import { useClipboard } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { FreshLink } from '../../composables/shell/useLinks'

const props = defineProps<{ link: FreshLink }>()
const chosen = ref(0)
const address = computed(() => props.link.addresses[chosen.value] ?? props.link.addresses[0] ?? '')
const { copy, copied } = useClipboard({ legacy: true })

function selectAll({ target }: FocusEvent) {
  if (target instanceof HTMLInputElement) target.select()
}
</script>

<template>
  <div class="flex gap-3 border-t border-rule p-3" role="group" aria-label="The new link">
    <LazyQrCode :text="address" label="The link, to be read by a phone" class="size-36 shrink-0" />
    <div class="flex min-w-0 flex-1 flex-col gap-2">
      <p class="text-sm">
        Whoever opens this link <strong>{{ link.role }}</strong>. It is shown this once: copy it, or have it read by the
        phone it is for.
      </p>
      <select v-if="link.addresses.length > 1" v-model="chosen" class="field font-sans" aria-label="Address">
        <option v-for="(each, i) in link.addresses" :key="each" :value="i">{{ each.split('/in#')[0] }}</option>
      </select>
      <div class="mt-auto flex gap-2">
        <input class="field" readonly :value="address" aria-label="The link" @focus="selectAll" />
        <button type="button" class="quiet-button shrink-0 py-1" @click="copy(address)">
          {{ copied ? 'Copied' : 'Copy' }}
        </button>
      </div>
    </div>
  </div>
</template>
