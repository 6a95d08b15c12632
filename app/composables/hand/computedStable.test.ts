import { describe, expect, it } from 'vitest'
import { computed, ref } from 'vue'
import { computedStable } from './computedStable'

describe('a computedStable value', () => {
  it('stays the same object while it comes to the same, and what hangs on it is not worked out again', () => {
    const source = ref(1)
    let runs = 0
    const lit = computedStable(() => new Set([source.value > 0 ? 'bow' : 'mark']))
    const size = computed(() => {
      runs += 1
      return lit.value.size
    })
    const before = [lit.value, size.value]
    source.value = 2
    expect([lit.value, size.value]).toEqual(before)
    expect(lit.value).toBe(before[0])
    expect(runs).toBe(1)
    source.value = -1
    expect([...lit.value]).toEqual(['mark'])
  })
})
