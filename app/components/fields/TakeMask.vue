<script setup lang="ts">
/** A take mask: families, and the attributes inside them, switched on and off. */
import { ref } from 'vue'
import { attributeName, type Attribute } from '#core/attributes/attribute'
import type { CommandInput } from '#core/commands/registry'
import { FAMILIES, type Family } from '#core/attributes/families'
import { attributesInUse, attributesKnown } from '#core/show/attributesKnown'
import { useShow } from '../../stores/show'
import { attributesOf, lets, withAttribute, withFamily, type Mask } from '#core/show/masks'
import { capitalised } from '../../composables/forms/capitalised'

const props = defineProps<{ mask: Mask }>()
const store = useShow()
/** `set` is the mask as it would be, `switch` what was switched of it. */
const emit = defineEmits<{ set: [mask: Mask]; switch: [change: CommandInput<'setTake'>] }>()
const open = ref<Family | null>(null)

const isTaken = (family: Family) => props.mask.take.includes(family)
const isPartly = (family: Family) => isTaken(family) && of(family).some((attribute) => !lets(props.mask, attribute))
/** Those that fixtures of the show have. */
const of = (family: Family) => attributesOf(family, store.view ? attributesInUse(store.view) : [])

function switchFamily(family: Family) {
  const take = !isTaken(family)
  emit('set', withFamily(props.mask, family, take))
  emit('switch', { family, take })
}
function switchAttribute(attribute: Attribute) {
  const take = !lets(props.mask, attribute)
  emit('set', withAttribute(props.mask, attribute, take, store.view ? attributesKnown(store.view) : []))
  emit('switch', { attribute, take })
}
</script>

<template>
  <ul class="flex flex-col gap-1">
    <li v-for="family in FAMILIES" :key="family">
      <div class="flex gap-1">
        <button
          type="button"
          class="chip flex-1 py-0.5 text-left first-letter:uppercase"
          :class="isTaken(family) ? 'border-kelp' : 'text-haze line-through'"
          :aria-pressed="isTaken(family)"
          @click="switchFamily(family)"
        >
          {{ capitalised(family) }}<span v-if="isPartly(family)" class="text-haze">, in part</span>
        </button>
        <button
          v-if="of(family).length > 1"
          type="button"
          class="chip py-0.5 text-haze"
          :aria-expanded="open === family"
          :aria-label="`Attributes of ${family}`"
          @click="open = open === family ? null : family"
        >
          {{ of(family).length }}
        </button>
      </div>
      <div v-if="open === family" class="mt-1 flex flex-wrap gap-1 pl-3">
        <button
          v-for="attribute in of(family)"
          :key="attribute"
          type="button"
          class="chip px-1.5 py-0.5"
          :class="lets(mask, attribute) ? 'border-kelp' : 'text-haze line-through'"
          :aria-pressed="lets(mask, attribute)"
          @click="switchAttribute(attribute)"
        >
          {{ attributeName(attribute) }}
        </button>
      </div>
    </li>
  </ul>
</template>
