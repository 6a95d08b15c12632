<script setup lang="ts">
/** Files of other programs that are kept, so that what has no place here goes out with them again. */
import type { CommandInput } from '#core/commands/registry'
import { useShow } from '../../stores/show'

type KeptFile = CommandInput<'forgetFile'> & { readonly name: string; readonly size: number }

defineProps<{ files: readonly KeptFile[] }>()
const store = useShow()
const megabytes = (size: number) => (size < 50_000 ? `${Math.ceil(size / 1000)} kB` : `${(size / 1e6).toFixed(1)} MB`)
</script>

<template>
  <section v-if="files.length > 0" aria-label="Kept files">
    <p class="text-xs text-haze">
      Kept as it came: what of it has no place here goes out again when this is written for other programs.
    </p>
    <ul class="mt-1 flex flex-col gap-1">
      <li v-for="{ kind, id, name, size } in files" :key="id" class="flex items-center gap-2 text-sm">
        <span class="min-w-0 truncate">{{ name }}</span>
        <span class="ml-auto shrink-0 text-xs text-mist">{{ megabytes(size) }}</span>
        <BinButton
          :aria-label="`Let go of ${name}`"
          @click="store.send('forgetFile', kind === 'rigFile' ? { kind, id } : { kind, id })"
        />
      </li>
    </ul>
  </section>
</template>
