import { useEventListener } from '@vueuse/core'
import { onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { useHookSettings } from '~/stores/hookSettings'

/** Words said aloud, and the tone or buzz for what must not be missed; each only as the maker asked. */
export function useSignals(words: () => string, alarm: () => string | undefined) {
  const hookSettings = useHookSettings()
  const hasVoice = ref(false)
  let sound: AudioContext | undefined

  function lookForVoices(): void {
    hasVoice.value = 'speechSynthesis' in window && speechSynthesis.getVoices().length > 0
  }

  function say(text: string): void {
    if (!hookSettings.voice || !hasVoice.value || !text) return
    speechSynthesis.cancel()
    const speech = new SpeechSynthesisUtterance(text)
    speech.lang = 'en'
    speech.rate = 0.95
    speechSynthesis.speak(speech)
  }

  /** Two short rising notes. */
  function ring(): void {
    sound ??= new AudioContext()
    for (const [i, hertz] of [660, 880].entries()) {
      const [voice, loudness] = [sound.createOscillator(), sound.createGain()]
      const at = sound.currentTime + i * 0.12
      voice.frequency.value = hertz
      loudness.gain.setValueAtTime(0.12, at)
      loudness.gain.exponentialRampToValueAtTime(0.001, at + 0.11)
      voice.connect(loudness).connect(sound.destination)
      voice.start(at)
      voice.stop(at + 0.12)
    }
  }

  function signal(): void {
    if (hookSettings.buzz && 'vibrate' in navigator) navigator.vibrate([60, 40, 60])
    if (hookSettings.tone && 'AudioContext' in window) ring()
  }

  // What nobody asked to hear is not put into words.
  watch(() => (hookSettings.voice ? words() : ''), say)
  watch(hasVoice, () => say(words()))
  watch(alarm, told => told && signal())
  onMounted(() => {
    lookForVoices()
    if ('speechSynthesis' in window) useEventListener(speechSynthesis, 'voiceschanged', lookForVoices)
  })
  onBeforeUnmount(() => 'speechSynthesis' in window && speechSynthesis.cancel())
  return { hasVoice, signal }
}
