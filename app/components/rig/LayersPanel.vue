<script setup lang="ts">
/** Layers of the set: shown or hidden, locked or free. */
import { Lock, LockOpen } from '@lucide/vue'
import { computed, reactive } from 'vue'
import { asLayerId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { useDraftForm } from '../../composables/forms/useDraftForm'
import { useCommit } from '../../composables/forms/useCommit'
import { useShow } from '../../stores/show'
import EyeToggle from './EyeToggle.vue'
import { counted } from '#core/show/counted'

const props = defineProps<{ show: Show }>()
const store = useShow()
const { keep } = useCommit()
const draft = reactive({ name: '' })
const { troubleAt, send } = useDraftForm(
  'addLayer',
  () => ({ name: draft.name }),
  () => (draft.name = ''),
)
const layers = computed(() =>
  [...props.show.all.layer].map(([id, layer]) => ({
    id: asLayerId(id),
    layer,
    pieces: [...props.show.all.setPiece.values()].filter((piece) => piece.layer === id).length,
  })),
)
</script>

<template>
  <p v-if="layers.length === 0" class="text-sm text-mist">
    Layers hide and lock set pieces together: the set of one act, say, or all that stands in for people.
  </p>
  <ul class="flex flex-col gap-1.5">
    <li v-for="{ id, layer, pieces } in layers" :key="id" class="flex items-end gap-1.5">
      <TextField
        class="flex-1"
        :label="counted(pieces, 'piece')"
        :shown="layer.name"
        :keep="(name) => keep('changeLayer', { layer: id, name })"
      />
      <EyeToggle
        :name="layer.name"
        :visible="layer.visible"
        @toggle="store.send('changeLayer', { layer: id, visible: !layer.visible })"
      />
      <button
        type="button"
        class="chip p-1"
        :class="layer.locked ? 'chip-on' : ''"
        :aria-label="`${layer.locked ? 'Unlock' : 'Lock'} ${layer.name}`"
        :aria-pressed="layer.locked"
        @click="store.send('changeLayer', { layer: id, locked: !layer.locked })"
      >
        <component :is="layer.locked ? Lock : LockOpen" :size="14" />
      </button>
      <BinButton
        :aria-label="`Take out the layer ${layer.name}; its pieces stay`"
        @click="store.send('deleteLayer', { layer: id })"
      />
    </li>
  </ul>
  <form class="flex items-end gap-2" aria-label="New layer" @submit.prevent="send">
    <DraftText
      v-model="draft.name"
      class="flex-1"
      label="New layer"
      placeholder="Act one"
      :trouble="troubleAt('name')"
    />
    <button type="submit" class="chip">Add</button>
  </form>
</template>
