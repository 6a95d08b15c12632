<script setup lang="ts">
/** A button with a small panel that floats over everything beside it, wherever there is room. */
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import { autoUpdate, flip, offset, shift, useFloating } from '@floating-ui/vue'
import { ref } from 'vue'

withDefaults(
  defineProps<{ label?: string | undefined; buttonClass?: string; panelClass?: string; disabled?: boolean }>(),
  {
    label: undefined,
    buttonClass: 'chip',
    panelClass: 'w-56',
  },
)
const button = ref<InstanceType<typeof PopoverButton> | null>(null)
const panel = ref<InstanceType<typeof PopoverPanel> | null>(null)
/** Opens it, or closes it where it is open, as a press on its button does. */
function toggle() {
  const { $el } = button.value ?? {}
  if ($el instanceof HTMLElement) $el.click()
}
defineExpose({ toggle })
const { floatingStyles } = useFloating(button, panel, {
  strategy: 'fixed',
  placement: 'bottom-start',
  middleware: [offset(4), flip({ padding: 6 }), shift({ padding: 6 })],
  whileElementsMounted: autoUpdate,
})
</script>

<template>
  <Popover class="flex min-w-0">
    <PopoverButton ref="button" :class="buttonClass" :aria-label="label" :title="label" :disabled="disabled">
      <slot name="button" />
    </PopoverButton>
    <PopoverPanel
      ref="panel"
      v-slot="{ close }"
      class="z-40 max-h-[70vh] overflow-y-auto rounded-lg border border-rule-2 bg-plank p-1 shadow-lg shadow-night/60"
      :class="panelClass"
      :style="floatingStyles"
    >
      <slot :close="close" />
    </PopoverPanel>
  </Popover>
</template>
