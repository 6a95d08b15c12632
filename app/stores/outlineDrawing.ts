/** An outline being drawn on the plan, corner by corner, and who waits for it. */
import { defineStore } from 'pinia'
import { computed, shallowRef, watch } from 'vue'
import type { PlanPoint } from '#core/venue/outline'
import { useStage } from './stage'

export const useOutlineDrawing = defineStore('outlineDrawing', () => {
  const stage = useStage()
  const corners = shallowRef<readonly PlanPoint[]>([])
  /** Where the next corner would be. */
  const next = shallowRef<PlanPoint | null>(null)
  const waiting = shallowRef<((outline: PlanPoint[]) => void) | null>(null)
  const isDrawing = computed(() => waiting.value !== null)
  const canFinish = computed(() => corners.value.length > 2)

  function end() {
    waiting.value = null
    corners.value = []
    next.value = null
  }

  /** Begins an outline for whoever waits for it; another one that is being drawn is given up. */
  function begin(done: (outline: PlanPoint[]) => void) {
    end()
    waiting.value = done
    stage.view = 'plan'
    stage.tool = 'outline'
  }

  function finish() {
    const [done, outline] = [waiting.value, [...corners.value]]
    if (!done || !canFinish.value) return
    stage.tool = 'select'
    end()
    done(outline)
  }

  function giveUp() {
    end()
    stage.tool = 'select'
  }

  const add = (corner: PlanPoint) => (corners.value = [...corners.value, corner])
  const takeBack = () => (corners.value = corners.value.slice(0, -1))

  // Whoever takes another tool, or Escape, gives it up.
  watch(
    () => stage.tool,
    (tool) => {
      if (tool !== 'outline') end()
    },
  )
  return { corners, next, isDrawing, canFinish, begin, add, takeBack, finish, giveUp }
})
