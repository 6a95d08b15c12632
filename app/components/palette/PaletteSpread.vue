<script setup lang="ts">
/** The rule by which a palette spreads a group along a line or ring, if it has one. */
import { computed, ref } from 'vue'
import { groupsInOrder } from '#core/groups/groups'
import { FAN_LAYS } from '#core/show/entities'
import { asTargetId, type GroupId, type PaletteId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { useProposal } from '../../stores/proposal'
import { useShow } from '../../stores/show'
import RadioChips from '../fields/RadioChips.vue'

const props = defineProps<{ show: Show; id: PaletteId }>()
const store = useShow()
const proposal = useProposal()
const isOpen = ref(false)
const group = ref<GroupId | ''>('')
const target = ref('')
const lay = ref<(typeof FAN_LAYS)[number]>('in order')

const takesPlaces = computed(() => props.show.all.palette.get(props.id)?.take.includes('position') === true)
const rule = computed(() => props.show.all.paletteSpread.get(props.id))
const groups = computed(() => groupsInOrder(props.show))
const targets = computed(() => [...props.show.all.target].filter(([, { form }]) => form.kind !== 'point'))
const words = computed(() => {
  if (!rule.value) return ''
  const whom = props.show.all.group.get(rule.value.group)?.name ?? ''
  return `${whom} spread along ${props.show.all.target.get(rule.value.target)?.name ?? ''}, ${rule.value.lay}`
})

function keep() {
  if (group.value === '' || target.value === '') return
  isOpen.value = false
  void proposal.offerOrSay('spreadPalette', {
    palette: props.id,
    group: group.value,
    target: asTargetId(target.value),
    lay: lay.value,
  })
}
</script>

<template>
  <section v-if="takesPlaces && targets.length" class="border-b border-rule px-3 py-2.5" aria-labelledby="spread-title">
    <div class="flex items-baseline justify-between">
      <h3 id="spread-title" class="font-semibold">Spread by rule</h3>
      <button
        v-if="rule"
        type="button"
        class="text-sm text-mist underline hover:text-sail"
        @click="store.send('freeSpread', { palette: id })"
      >
        Keep the places, drop the rule
      </button>
      <button v-else type="button" class="text-sm text-mist underline hover:text-sail" @click="isOpen = !isOpen">
        {{ isOpen ? 'Cancel' : 'Spread a group …' }}
      </button>
    </div>
    <p v-if="rule" class="text-sm text-mist">{{ words }}. Whoever joins the group is spread with it.</p>
    <form v-else-if="isOpen" class="mt-1.5 flex flex-col gap-1.5" @submit.prevent="keep">
      <select v-model="group" class="field font-sans" aria-label="Group to spread">
        <option value="">Which group …</option>
        <option v-for="option in groups" :key="option.id" :value="option.id">{{ option.group.name }}</option>
      </select>
      <select v-model="target" class="field font-sans" aria-label="Line or ring to spread along">
        <option value="">Along which line or ring …</option>
        <option v-for="[key, option] in targets" :key="key" :value="key">{{ option.name }}</option>
      </select>
      <RadioChips v-model="lay" label="How the beams lie" :options="FAN_LAYS" />
      <button type="submit" class="quiet-button py-1.5" :disabled="!group || !target">Spread</button>
    </form>
  </section>
</template>
