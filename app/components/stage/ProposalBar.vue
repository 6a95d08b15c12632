<script setup lang="ts">
/** Says what a change of the stage carries along, before it is done. Never covers the plan. */
import { rollup } from 'd3-array'
import { computed } from 'vue'
import { SAME_PLACE } from '#core/geometry/tolerance'
import { numbersInWords } from '#core/selection/written'
import { listInWords } from '#core/show/listInWords'
import { absentInWords } from '#core/refocus/absent'
import type { Effects } from '#core/refocus/effects'
import { hasExclusions } from '#core/refocus/exclusions'
import { attributeName } from '#core/attributes/attribute'
import { furthestTurn } from '#core/refocus/poolMoves'
import { metresInWords } from '#core/geometry/lengthInWords'
import { effectsInWords } from '#core/refocus/words'
import type { FixtureId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { useProposal } from '../../stores/proposal'
import { useShow } from '../../stores/show'
import PaletteChange from '../palette/PaletteChange.vue'
import CueChips from './CueChips.vue'
import KeepOutTools from './KeepOutTools.vue'
import { counted, plural } from '#core/show/counted'
import { capitalised } from '../../composables/forms/capitalised'

const proposal = useProposal()
const store = useShow()

const named = computed(() => {
  const current = proposal.current
  const show = store.view
  if (!current || !show) return null
  const { palettes, changed, members, cues, losingReach, absent, staysBehind, looks, held } = current.effects
  const isWorking = current.settled && !current.isReckoned
  const nameOf = (palette: string) => show.all.palette.get(palette)?.name ?? ''
  const behind = new Set(
    staysBehind.map(({ palette, cue }) =>
      palette ? (show.all.palette.get(palette)?.name ?? '') : `cue ${show.all.cue.get(cue ?? '')?.number ?? ''}`,
    ),
  )
  const furthest = Math.max(0, ...looks.map(({ shiftMetres }) => shiftMetres ?? 0))
  const lookers = new Set(looks.flatMap(({ fixtures }) => fixtures)).size
  return {
    title: capitalised(current.title),
    words: isWorking ? 'Working out what follows…' : effectsInWords(current.effects),
    moving: palettes
      .flatMap((palette) => {
        const { shiftMetres } = palette
        if (shiftMetres === null || shiftMetres < SAME_PLACE) return []
        return `${nameOf(palette.palette)} moves ${metresInWords(shiftMetres)}, turns ${furthestTurn(palette).toFixed(1)}°`
      })
      .join(', '),
    inPlace: palettes
      .filter(({ shiftMetres }) => shiftMetres === null || shiftMetres < SAME_PLACE)
      .map((palette) => nameOf(palette.palette))
      .join(', '),
    changed: changed
      .map(({ palette, attributes, fixtures }) => {
        const what = listInWords(attributes.map((attribute) => attributeName(attribute)))
        return `${nameOf(palette)}: ${what} of ${fixtures.length}`
      })
      .join('; '),
    joining: membersInWords(show, members, 'joining'),
    leaving: membersInWords(show, members, 'leaving'),
    set: cues.filter((cue) => cue.how === 'set').map((cue) => cue.cue),
    carried: cues.filter((cue) => cue.how === 'carried').map((cue) => cue.cue),
    looks: looks.map(({ cue }) => cue),
    looksWords: `${counted(lookers, 'fixture')}${furthest >= SAME_PLACE ? `, light moves up to ${metresInWords(furthest)}` : ''}`,
    losing: numbersInWords(show, losingReach),
    absent: absentInWords(show, absent),
    behind: [...behind].join(', '),
    held: heldInWords(show, held),
  }
})
/** What was stored by hand beside palettes that move. */
const left = computed(() => proposal.current?.leftBehind ?? [])
/** "14.5 (37, 38), 33 (17)". */
const leftWords = computed(() => {
  const show = store.view
  if (!show) return ''
  const whom = (values: readonly { fixture: FixtureId }[]) =>
    numbersInWords(
      show,
      values.map(({ fixture }) => fixture),
    )
  const byCue = rollup(left.value, whom, ({ cue }) => cue)
  return [...byCue].map(([cue, numbers]) => `${show.all.cue.get(cue)?.number ?? ''} (${numbers})`).join(', ')
})
/** Links them to the palettes they stand beside: then they follow what is proposed as well. */
function linkLeft() {
  const links = left.value.flatMap(({ cue, fixture, stored, near }) =>
    near ? stored.map(({ attribute }) => ({ cue, fixture, attribute, palette: near.palette })) : [],
  )
  void store.send('linkLoose', { links })
}
/** Keeping something out has a meaning where cues follow. */
const canKeepOut = computed(
  () => (proposal.current?.effects.cues.length ?? 0) > 0 || hasExclusions(proposal.exclusions),
)

/** "Dory bow: 11, 18; Jetty end: 11". */
function membersInWords(show: Show, members: Effects['members'], side: 'joining' | 'leaving'): string {
  return members
    .filter((palette) => palette[side].length > 0)
    .map((palette) => `${show.all.palette.get(palette.palette)?.name ?? ''}: ${numbersInWords(show, palette[side])}`)
    .join('; ')
}

/** "3 in cue 12; 11, 12 in cues 14, 15". */
function heldInWords(show: Show, held: Effects['held']): string {
  const byCue = new Map<string, FixtureId[]>()
  for (const { cue, fixture } of held) byCue.set(cue, [...(byCue.get(cue) ?? []), fixture])
  return [...byCue]
    .map(([cue, fixtures]) => `${numbersInWords(show, fixtures)} in cue ${show.all.cue.get(cue)?.number ?? ''}`)
    .join('; ')
}
</script>

<template>
  <section
    v-if="named && proposal.current && store.view"
    class="flex flex-col justify-center border-t border-coral/60 bg-deck px-5 py-3"
    aria-label="Proposed change"
    data-proposal
  >
    <div class="flex min-h-0 items-start gap-4">
      <div class="flex min-h-0 min-w-0 flex-1 flex-col self-stretch">
        <p role="status">
          <strong class="text-sail">{{ named.title }}</strong><span class="text-mist">: {{ named.words }}</span>
        </p>
        <dl class="mt-1.5 grid max-h-28 min-h-8 shrink grid-cols-[auto_1fr] gap-x-3 overflow-y-auto text-sm">
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
          <template v-if="named.joining">
            <dt class="text-haze">Come in</dt>
            <dd class="text-mist">{{ named.joining }}</dd>
          </template>
          <template v-if="named.leaving">
            <dt class="text-haze">Taken out</dt>
            <dd class="text-mist">{{ named.leaving }}</dd>
          </template>
          <template v-if="named.set.length">
            <dt class="text-haze">Set in cues</dt>
            <dd class="text-mist"><CueChips :show="store.view" :cues="named.set" /></dd>
          </template>
          <template v-if="named.carried.length">
            <dt class="text-haze">Carried through</dt>
            <dd class="text-mist"><CueChips :show="store.view" :cues="named.carried" /></dd>
          </template>
          <template v-if="named.looks.length">
            <dt class="text-haze">Look different</dt>
            <dd class="text-mist"><CueChips :show="store.view" :cues="named.looks" /> ({{ named.looksWords }})</dd>
          </template>
          <template v-if="left.length">
            <dt class="text-coral">Loose, stays behind</dt>
            <dd class="text-coral">
              <span class="font-mono">{{ leftWords }}</span>
              <button
                type="button"
                class="ml-2 rounded-md border border-coral px-1.5 text-xs text-sail hover:bg-coral-deep"
                @click="linkLeft"
              >
                Link {{ plural(left.length, 'it', 'them') }} to the palette beside
              </button>
            </dd>
          </template>
          <template v-if="named.held">
            <dt class="text-shoal">Held as they were</dt>
            <dd class="text-shoal">{{ named.held }}</dd>
          </template>
          <template v-if="named.losing">
            <dt class="text-coral">Out of reach</dt>
            <dd class="font-mono text-coral">{{ named.losing }}</dd>
          </template>
          <template v-if="named.absent">
            <dt class="text-coral">Does not hang there</dt>
            <dd class="text-coral">{{ named.absent }}</dd>
          </template>
          <template v-if="named.behind">
            <dt class="text-coral">Stays behind</dt>
            <dd class="text-coral">{{ named.behind }} (raw angles, they cannot follow)</dd>
          </template>
        </dl>
        <KeepOutTools v-if="canKeepOut && proposal.current.settled" class="mt-1.5" :show="store.view" />
      </div>
      <PaletteChange
        v-if="proposal.current.settled"
        class="w-[440px] shrink-0 max-[1100px]:w-[320px]"
        :before="store.view"
        :after="proposal.current.after"
        :effects="proposal.current.effects"
      />
      <div v-if="proposal.current.settled" class="flex shrink-0 gap-2">
        <button type="button" class="quiet-button py-1.5" @click="proposal.cancel()">
          Put back <span class="key">Esc</span>
        </button>
        <button type="button" class="main-button py-1.5" @click="proposal.commit()">
          Keep <span class="key border-on-coral/50">Enter</span>
        </button>
      </div>
    </div>
  </section>
</template>
