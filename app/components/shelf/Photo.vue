<script setup lang="ts">
import { decimal } from '#core/format'

/** A picture that is kept with a thing: chosen from the device or taken with its camera, shown, taken out again. */
const photo = defineModel<string | null>({ required: true })
const fault = ref('')
const busy = ref(false)
const input = useTemplateRef<HTMLInputElement>('input')
/** The same as the server's, said before a large file is sent. */
const MOST = 15_000_000

async function choose(event: Event) {
  const target = event.target as HTMLInputElement
  const file = target.files?.[0]
  target.value = ''
  if (!file) return
  fault.value = ''
  if (!/^image\/(jpeg|png|webp)$/.test(file.type)) {
    fault.value = `“${file.name}” is no picture we can read. Choose a JPEG, PNG or WebP file.`
    return
  }
  if (file.size > MOST) {
    fault.value = `“${file.name}” is ${decimal(file.size / 1e6)} MB; 15 MB is the most. Choose a smaller one, or save it smaller first.`
    return
  }
  busy.value = true
  try {
    photo.value = (await api('POST /api/photos', { picture: file })).id
  } catch (error) {
    fault.value = refused(error).message
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <div class="photo">
    <a v-if="photo" :href="addressHere(`/api/photos/${photo}`)" target="_blank" rel="noopener">
      <img :src="addressHere(`/api/photos/${photo}?size=small`)" alt="The picture, smaller; opens large">
    </a>
    <p class="ways">
      <button type="button" class="key" :disabled="busy" @click="input?.click()">
        {{ busy ? 'Keeping it ...' : photo ? 'Another picture' : 'Add a picture' }}
      </button>
      <button v-if="photo" type="button" class="key" @click="photo = null">Without a picture</button>
    </p>
    <input
      ref="input" type="file" accept="image/jpeg,image/png,image/webp" class="sr-only" tabindex="-1" aria-label="Choose a picture"
      @change="choose"
    >
    <p v-if="fault" class="harm" role="alert">◆ {{ fault }}</p>
  </div>
</template>

<style scoped>
.photo { display: grid; gap: 0.6rem; justify-items: start; }
img { max-width: 100%; max-height: 14rem; border-radius: 8px; }
.ways { display: flex; flex-wrap: wrap; gap: 0.6rem; }
</style>
