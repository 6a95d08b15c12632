/**
 * The server's clock as this window knows it. While something is on its way the time goes on frame
 * by frame; while everything stands it is not looked at, and nothing is drawn anew.
 */
import { useRafFn } from '@vueuse/core'
import { defineStore } from 'pinia'
import { ref } from 'vue'

export const useClock = defineStore('clock', () => {
  /** How far the server's clock is ahead of ours, milliseconds. */
  let ahead = 0
  /** The best guess is the one that took the shortest way here. */
  let shortest = Infinity
  /** Whole milliseconds, as the server counts. */
  const read = () => Math.round(Date.now() + ahead)
  const now = ref(0)
  let until = 0

  const frames = useRafFn(
    () => {
      now.value = read()
      if (now.value > until) frames.pause()
    },
    { immediate: false },
  )

  /** Takes in what the server's clock said in an answer, and how long that was asked for, milliseconds. */
  function set(server: number, took: number) {
    if (took > shortest) return
    shortest = took
    ahead = server + took / 2 - Date.now()
  }

  /** Lets time go on until an instant. */
  function runUntil(instant: number) {
    now.value = read()
    until = instant
    if (now.value <= until) frames.resume()
  }

  return { now, read, set, runUntil }
})
