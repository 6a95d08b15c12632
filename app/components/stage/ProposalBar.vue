<script setup lang="ts">
/** Says what a change of the stage carries along, before it is done. Never covers the plan. */
import { computed } from 'vue'
import { SAME_PLACE } from '#core/geometry/tolerance'
import { listInWords } from '#core/commands/wording'
import type { PaletteEffect } from '#core/refocus/effects'
import { ATTRIBUTE_NAMES } from '#core/show/families'
import { effectsInWords, metresInWords } from '#core/refocus/words'
import { rigOf } from '#core/show/rig'
import { useProposal } from '../../stores/proposal'
import { useShow } from '../../stores/show'

const proposal = useProposal()
const store = useShow()

/** The most any head of a palette turns on one axis, degrees. */
function turnOf({ fixtures }: PaletteEffect): number {
  return Math.max(
    ...fixtures.flatMap(({ before, after }) => [
      Math.abs(before.pose.pan - after.pose.pan),
      Math.abs(before.pose.tilt - after.pose.tilt),
    ]),
  )
}

const named = computed(() => {
  const current = proposal.current
  const show = store.view
  if (!current || !show) return null
  const { palettes, changed, cues, losingReach, staysBehind } = current.effects
  const nameOf = (palette: string) => show.all.palette.get(palette)?.name ?? ''
  const numbers = (ids: readonly string[]) => ids.map((id) => show.all.cue.get(id)?.number ?? '?').join(', ')
  const set = cues.filter((cue) => cue.how === 'set').map((cue) => cue.cue)
  const carried = cues.filter((cue) => cue.how === 'carried').map((cue) => cue.cue)
  const behind = new Set(
    staysBehind.map(({ palette, cue }) =>
      palette ? (show.all.palette.get(palette)?.name ?? '') : `cue ${show.all.cue.get(cue ?? '')?.number ?? ''}`,
    ),
  )
  return {
    title: current.title.charAt(0).toUpperCase() + current.title.slice(1),
    words: effectsInWords(current.effects),
    moving: palettes
      .filter((palette) => palette.shiftMetres >= SAME_PLACE)
      .map(
        (palette) =>
          `${nameOf(palette.palette)} moves ${metresInWords(palette.shiftMetres)}, turns ${turnOf(palette).toFixed(1)}°`,
      )
      .join(', '),
    inPlace: palettes
      .filter((palette) => palette.shiftMetres < SAME_PLACE)
      .map((palette) => nameOf(palette.palette))
      .join(', '),
    changed: changed
      .map(({ palette, attributes, fixtures }) => {
        const what = listInWords(attributes.map((attribute) => ATTRIBUTE_NAMES[attribute]))
        return `${nameOf(palette)}: ${what} of ${fixtures.length}`
      })
      .join('; '),
    set: numbers(set),
    carried: numbers(carried),
    losing: losingReach.map((id) => rigOf(show).get(id)?.fixture.number ?? '?').join(', '),
    behind: [...behind].join(', '),
  }
})
</script>

<template>
  <section
    v-if="named && proposal.current"
    class="flex flex-col justify-center border-t border-coral/60 bg-deck px-5 py-3"
    aria-label="Proposed change"
    data-proposal
  >
    <div class="flex items-start gap-4">
      <div class="min-w-0 flex-1">
        <p role="status">
          <strong class="text-sail">{{ named.title }}</strong><span class="text-mist">: {{ named.words }}</span>
        </p>
        <dl class="mt-1.5 grid max-h-28 grid-cols-[auto_1fr] gap-x-3 overflow-y-auto text-sm">
          <template v-if="named.moving">
            <dt class="text-haze">Palettes</dt>
            <dd class="text-mist">{{ named.moving }}</dd>
          </template>
          <template v-if="named.inPlace">
            <dt class="text-haze">Re-aimed in place</dt>
            <dd class="text-mist">{{ named.inPlace }}</dd>
          </template>
          <template v-if="named.changed">
            <dt class="text-haze">Values</dt>
            <dd class="text-mist">{{ named.changed }}</dd>
          </template>
          <template v-if="named.set">
            <dt class="text-haze">Set in cues</dt>
            <dd class="font-mono text-mist">{{ named.set }}</dd>
          </template>
          <template v-if="named.carried">
            <dt class="text-haze">Carried through</dt>
            <dd class="font-mono text-mist">{{ named.carried }}</dd>
          </template>
          <template v-if="named.losing">
            <dt class="text-coral">Out of reach</dt>
            <dd class="font-mono text-coral">{{ named.losing }}</dd>
          </template>
          <template v-if="named.behind">
            <dt class="text-coral">Stays behind</dt>
            <dd class="text-coral">{{ named.behind }} (raw angles, they cannot follow)</dd>
          </template>
        </dl>
      </div>
      <div v-if="proposal.current.settled" class="flex shrink-0 gap-2">
        <button type="button" class="quiet-button py-1.5" @click="proposal.putBack()">
          Put back <span class="key">Esc</span>
        </button>
        <button type="button" class="main-button py-1.5" @click="proposal.keep()">
          Keep <span class="key border-on-coral/50">Enter</span>
        </button>
      </div>
    </div>
  </section>
</template>
