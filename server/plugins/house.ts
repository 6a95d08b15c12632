import { closeShowRegistry } from '../shows/useShowRegistry'

export default defineNitroPlugin((nitro) => {
  nitro.hooks.hook('close', closeShowRegistry)
})
