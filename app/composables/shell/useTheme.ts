/** Night for the house in the dark, paper for the office. Kept in this browser. */
import { useLocalStorage } from '@vueuse/core'
import { computed, watchEffect } from 'vue'

export function useTheme() {
  const kept = useLocalStorage<'night' | 'paper'>('rhopander-theme', 'night')
  watchEffect(() => {
    document.documentElement.dataset['theme'] = kept.value
  })
  const isPaper = computed(() => kept.value === 'paper')
  const toggle = () => (kept.value = isPaper.value ? 'night' : 'paper')
  return { isPaper, toggle }
}
