import { ref } from 'vue'
import { saveMade } from '~/keeping/saveToFile'

/** A file that the server makes: says that it is on its way, and why if it does not come. One at a time. */
export function useMadeFile() {
  const making = ref(false)
  const said = ref('')

  async function save(name: string, address: string): Promise<void> {
    if (making.value) return
    making.value = true
    said.value = `Making the file: ${name} …`
    said.value = await saveMade(address) ?? `Saved: ${name}`
    making.value = false
  }
  return { making, said, save }
}
