/**
 * A field that is kept with Enter or by leaving it. What is refused stays in the field with its
 * reason; Escape puts back what stood there.
 */
import { ref, watch } from 'vue'

export function useEditableField(shown: () => string, keep: (text: string) => Promise<string | null>) {
  const text = ref(shown())
  const trouble = ref<string | null>(null)

  function putBack() {
    text.value = shown()
    trouble.value = null
  }

  async function leave() {
    const typed = text.value.trim()
    if (typed === shown()) return putBack()
    trouble.value = await keep(typed)
  }

  watch(shown, putBack)
  return { text, trouble, leave, putBack }
}
