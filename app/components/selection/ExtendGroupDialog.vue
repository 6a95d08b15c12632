<script setup lang="ts">
/** Shows what palettes and cues made for a group would get for members they leave out, before it is done. */
import { computed, ref, watch } from 'vue'
import { extensionsOf, type Extension } from '#core/groups/extension'
import { familyOf } from '#core/attributes/attribute'
import { numbersInWords } from '#core/selection/written'
import type { GroupId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { listInWords } from '#core/show/listInWords'
import { useShow } from '../../stores/show'
import PlainDialog from '../shell/PlainDialog.vue'
import { plural } from '#core/show/counted'

const props = defineProps<{ show: Show; group: GroupId | null }>()
const emit = defineEmits<{ close: [] }>()
const store = useShow()

const group = computed(() => (props.group ? props.show.all.group.get(props.group) : undefined))
const extensions = computed(() => (props.group && group.value ? extensionsOf(props.show, props.group) : []))
const left = ref(new Set<string>())
watch(
  () => props.group,
  () => (left.value = new Set()),
)
const wanted = computed(() => extensions.value.filter(({ holder }) => !left.value.has(holder.id)))

function nameOf({ holder }: Extension): string {
  if (holder.kind === 'palette') {
    const palette = props.show.all.palette.get(holder.id)
    return `Palette ${palette?.number ?? ''} ${palette?.name ?? ''}`
  }
  const cue = props.show.all.cue.get(holder.id)
  return `Cue ${cue?.number ?? ''} ${cue?.name ?? ''}`
}

function inWords({ values }: Extension): string {
  const fixtures = values.map(({ fixture }) => fixture)
  const families = [...new Set(values.map(({ attribute }) => familyOf(attribute)))]
  const like = [...new Set(values.map((value) => value.like))]
  return `${listInWords(families)} for ${numbersInWords(props.show, fixtures)}, as ${numbersInWords(props.show, like)} ${plural(like.length, 'has', 'have')} it`
}

function toggle(id: string) {
  const next = new Set(left.value)
  if (!next.delete(id)) next.add(id)
  left.value = next
}

async function extend() {
  if (!props.group) return
  const palettes = wanted.value.flatMap(({ holder }) => (holder.kind === 'palette' ? [holder.id] : []))
  const cues = wanted.value.flatMap(({ holder }) => (holder.kind === 'cue' ? [holder.id] : []))
  if (await store.send('extendToGroup', { group: props.group, palettes, cues })) emit('close')
}
</script>

<template>
  <PlainDialog :open="group !== undefined" :title="`Made for ${group?.name ?? ''}`" wide @close="emit('close')">
    <p v-if="extensions.length === 0" class="px-5 py-6 text-mist">
      Every palette and cue that holds something for most of {{ group?.name }} holds it for all of them. Nothing is left
      to extend.
    </p>
    <template v-else>
      <p class="px-5 pt-4 text-mist">
        These hold something for most of the group and nothing for its other members. The others would get what their
        neighbour in the group has; places are aimed at anew.
      </p>
      <ul class="min-h-0 flex-1 overflow-y-auto px-5 py-3">
        <li v-for="extension in extensions" :key="extension.holder.id" class="border-b border-rule py-1.5">
          <label class="flex items-baseline gap-2">
            <input
              type="checkbox"
              class="accent-coral"
              :checked="!left.has(extension.holder.id)"
              @change="toggle(extension.holder.id)"
            />
            <span class="w-56 shrink-0 truncate font-semibold">{{ nameOf(extension) }}</span>
            <span class="min-w-0 text-mist">{{ inWords(extension) }}</span>
          </label>
        </li>
      </ul>
    </template>
    <footer class="flex justify-end gap-2 border-t border-rule px-5 py-3">
      <button type="button" class="quiet-button py-1.5" @click="emit('close')">
        {{ extensions.length ? 'Leave them' : 'Close' }}
      </button>
      <button
        v-if="extensions.length"
        type="button"
        class="main-button py-1.5"
        :disabled="wanted.length === 0"
        @click="extend"
      >
        Extend {{ wanted.length }}
      </button>
    </footer>
  </PlainDialog>
</template>
