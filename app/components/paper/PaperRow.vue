<script setup lang="ts">
/** A paper to be printed: where it stands, what is chosen of it, and when it was printed last. */
import { ArrowDown, ArrowUp, X } from '@lucide/vue'
import { computed } from 'vue'
import { FAMILIES } from '#core/attributes/families'
import type { PaperWish } from '#core/paper/choice'
import { SCALES } from '#core/paper/drawing/pen'
import { numbersWanted } from '#core/paper/numbersWanted'
import { PAPER_TITLES } from '#core/show/papers'
import { counted } from '#core/show/counted'
import { asVenueId, type VenueId } from '#core/show/ids'
import { showRecordOf, type Show } from '#core/show/show'
import { usePaperRoom } from '../../stores/paperRoom'

const props = defineProps<{ show: Show; wish: PaperWish; isFirst: boolean; isLast: boolean }>()
defineEmits<{ shift: [by: 1 | -1] }>()
const room = usePaperRoom()

const title = computed(() => PAPER_TITLES[props.wish.paper])
/** What the numbers that may be chosen are of. */
const NUMBERED: Partial<Record<PaperWish['paper'], string>> = {
  'palette-charts': 'Palettes',
  'fixture-charts': 'Fixtures',
  'cue-lists': 'Cues',
  'carry-sheet': 'Cues',
}
const leaves = computed(() => room.made?.papers.find(({ paper }) => paper === props.wish.paper)?.leaves ?? null)
const said = computed(() => {
  const printed = props.show.all.print.get(props.wish.paper)
  const count = leaves.value === null ? '' : counted(leaves.value, 'leaf', 'leaves')
  const before = printed
    ? `version ${printed.version} of ${new Date(printed.at).toLocaleDateString(undefined, { dateStyle: 'medium' })}`
    : 'not printed yet'
  return [count, before].filter(Boolean).join(', ')
})

async function setNumbers(numbers: string): Promise<string | null> {
  if (!('numbers' in props.wish)) return null
  if (numbersWanted(numbers) === null) return 'Write numbers like 1-12, 15; nothing is all.'
  room.change({ ...props.wish, numbers })
  return null
}

const FIT = 'fit'
const scales = [
  { key: FIT, name: 'as large as one sheet holds' },
  ...SCALES.map((one) => ({ key: String(one), name: `1:${one}` })),
]
async function setScale(key: string): Promise<null> {
  if (props.wish.paper === 'hang-plot')
    room.change({ ...props.wish, scale: SCALES.find((one) => String(one) === key) ?? null })
  return null
}

const FAMILY_OPTIONS = FAMILIES.map((key) => ({ key, name: key }))
async function setFamily(family: (typeof FAMILIES)[number]): Promise<null> {
  if (props.wish.paper === 'carry-sheet') room.change({ ...props.wish, family })
  return null
}

const otherVenues = computed(() => {
  const { venue } = showRecordOf(props.show)
  return [...props.show.all.venue]
    .filter(([id]) => id !== venue)
    .map(([id, { name }]) => ({ key: asVenueId(id), name }))
})
async function setThere(there: VenueId): Promise<null> {
  if (props.wish.paper === 'differences') room.change({ ...props.wish, there })
  return null
}
</script>

<template>
  <li class="border-b border-rule/60 px-4 py-2 hover:bg-plank" :aria-label="title">
    <div class="flex items-center gap-1">
      <span class="min-w-0 flex-1 cursor-grab truncate font-semibold">{{ title }}</span>
      <IconButton
        :icon="ArrowUp"
        :size="13"
        class="p-1 text-mist hover:text-sail disabled:opacity-30"
        :disabled="isFirst"
        :aria-label="`${title} earlier`"
        title="Earlier"
        @click="$emit('shift', -1)"
      />
      <IconButton
        :icon="ArrowDown"
        :size="13"
        class="p-1 text-mist hover:text-sail disabled:opacity-30"
        :disabled="isLast"
        :aria-label="`${title} later`"
        title="Later"
        @click="$emit('shift', 1)"
      />
      <IconButton
        :icon="X"
        :size="13"
        class="p-1 text-mist hover:text-sail"
        :aria-label="`Do not print ${title}`"
        title="Do not print it"
        @click="room.remove(wish.paper)"
      />
    </div>
    <p class="text-xs text-haze">{{ said }}</p>
    <div class="mt-1 grid grid-cols-2 gap-2 empty:hidden">
      <TextField
        v-if="'numbers' in wish"
        :label="NUMBERED[wish.paper] ?? 'Numbers'"
        :shown="wish.numbers"
        placeholder="all, or 1-12, 15"
        :keep="setNumbers"
      />
      <ChoiceField
        v-if="wish.paper === 'hang-plot'"
        class="col-span-2"
        label="Scale"
        :value="wish.scale === null ? FIT : String(wish.scale)"
        :options="scales"
        :keep="setScale"
      />
      <ChoiceField
        v-if="wish.paper === 'carry-sheet'"
        label="Family"
        :value="wish.family"
        :options="FAMILY_OPTIONS"
        :keep="setFamily"
      />
      <template v-if="wish.paper === 'differences'">
        <ChoiceField
          v-if="otherVenues.length"
          class="col-span-2"
          label="With"
          :value="wish.there ?? otherVenues[0]?.key ?? null"
          :options="otherVenues"
          :keep="setThere"
        />
        <p v-else class="col-span-2 text-sm text-mist">The show knows no other venue to compare with.</p>
      </template>
    </div>
  </li>
</template>
