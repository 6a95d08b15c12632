<script setup lang="ts">
/** A take mask: families, and the attributes inside them, switched on and off. */
import { ref } from 'vue'
import { attributeName } from '#core/attributes/attribute'
import { FAMILIES, type Family } from '#core/attributes/families'
import { attributesInUse, attributesKnown } from '#core/show/attributesKnown'
import { useShow } from '../../stores/show'
import { attributesOf, lets, withAttribute, withFamily, type Mask } from '#core/show/masks'
import { capitalised } from '../../composables/forms/capitalised'

const props = defineProps<{ mask: Mask }>()
const store = useShow()
const emit = defineEmits<{ set: [mask: Mask] }>()
const open = ref<Family | null>(null)

const isTaken = (family: Family) => props.mask.take.includes(family)
const isPartly = (family: Family) => isTaken(family) && of(family).some((attribute) => !lets(props.mask, attribute))
/** Those that fixtures of the show have. */
const of = (family: Family) => attributesOf(family, store.view ? attributesInUse(store.view) : [])
const known = () => (store.view ? attributesKnown(store.view) : [])
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
          @click="emit('set', withFamily(mask, family, !isTaken(family)))"
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
          @click="emit('set', withAttribute(mask, attribute, !lets(mask, attribute), known()))"
        >
          {{ attributeName(attribute) }}
        </button>
      </div>
    </li>
  </ul>
</template>
