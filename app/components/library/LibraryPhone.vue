<script setup lang="ts">
import { mdiCellphoneLink } from '@mdi/js'
import { useIntervalFn } from '@vueuse/core'
import { computed, ref } from 'vue'
import { renderSVG } from 'uqr'
import { useLibrary } from '~/stores/library'

/** The program on a phone in the same home: opened when it is asked for, with letters that let one machine in. */
const library = useLibrary()
const now = ref(Date.now())
const { format } = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long' })

const code = computed(() => (library.phone?.code && library.phone.code.until > now.value ? library.phone.code : undefined))
const secure = computed(() => library.phone?.addresses.some(address => address.startsWith('https:')))
/** The letters go behind the sign that browsers never send. */
const addressOf = (address: string) => `${address}/let-in${code.value ? `#${code.value.code}` : ''}`
const picture = computed(() => {
  const address = library.phone?.addresses[0]
  return address && code.value
    ? `data:image/svg+xml,${encodeURIComponent(renderSVG(addressOf(address), { ecc: 'M', border: 2 }))}`
    : undefined
})

useIntervalFn(() => {
  now.value = Date.now()
  // Somebody may have been let in meanwhile.
  if (code.value) void library.loadPhone()
}, 4_000)
</script>

<template>
  <section aria-labelledby="phone">
    <h2
      id="phone"
      class="ruled"
    >
      On your phone
    </h2>
    <p class="soft">
      The program listens to this machine alone. Opened, it can be reached in your own network, by machines that you let in and no others.
      Leave it closed where you share the network with strangers.
    </p>
    <p v-if="library.phone && !library.phone.here">
      Phones are let in on the machine that Fair Hollow runs on.
    </p>
    <div
      v-else
      class="row"
    >
      <v-btn
        variant="tonal"
        color="primary"
        :prepend-icon="mdiCellphoneLink"
        :disabled="library.busy"
        @click="library.openToPhones"
      >
        {{ library.phone?.open ? 'Let another phone in' : 'Use it on my phone' }}
      </v-btn>
      <v-btn
        v-if="library.phone?.open"
        variant="outlined"
        :disabled="library.busy"
        @click="library.closeToPhones"
      >
        Close it
      </v-btn>
    </div>
    <div
      v-if="code"
      class="pair"
    >
      <img
        v-if="picture"
        :src="picture"
        alt="The address to open on the phone, for its camera"
        width="200"
        height="200"
      >
      <div>
        <p>Point the phone's camera at this, or open</p>
        <p
          v-for="address in library.phone!.addresses"
          :key="address"
          class="address"
        >
          {{ address }}
        </p>
        <p>and enter</p>
        <p
          class="code"
          data-code
        >
          {{ code.code }}
        </p>
        <p class="soft">
          Lets one machine in, until {{ new Date(code.until).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' }) }}.
        </p>
      </div>
    </div>
    <p
      v-if="library.phone?.open && !secure"
      class="soft"
    >
      Without a certificate of your own the phone cannot open the program while this machine is off, nor keep its screen awake
      at the hook; all else works, and what you do is kept. FAIR_HOLLOW_CERT and FAIR_HOLLOW_KEY name a certificate.
    </p>
    <ul v-if="library.phone && library.phone.devices.length > 0">
      <li
        v-for="device in library.phone.devices"
        :key="device.id"
      >
        <span>
          <strong>{{ device.name }}</strong>
          <span class="soft">
            let in {{ format(new Date(device.pairedAt)) }}, last seen {{ format(new Date(device.seenAt)) }}
          </span>
        </span>
        <v-btn
          v-if="library.phone.here"
          size="small"
          variant="outlined"
          :aria-label="`Send ${device.name} away`"
          @click="library.sendAway(device.id)"
        >
          Send it away
        </v-btn>
      </li>
    </ul>
  </section>
</template>

<style scoped>
p { margin: 0 0 0.7rem; max-width: 46rem; }
.row { display: flex; flex-wrap: wrap; gap: 0.6rem; }
.pair { display: flex; flex-wrap: wrap; gap: 1.4rem; align-items: center; margin: 1rem 0; }
.pair img { background: #fff; border: 1px solid var(--line); border-radius: 6px; }
.pair p { margin: 0 0 0.2rem; }
.address { font-family: var(--figures); }
.code { font-family: var(--figures); font-size: 2.2rem; font-weight: 700; letter-spacing: 0.22em; line-height: 1.2; }
ul { list-style: none; margin: 1rem 0 0; padding: 0; }
li {
  display: flex; flex-wrap: wrap; gap: 0.6rem; justify-content: space-between; align-items: center; padding: 0.45rem 0;
  border-top: 1px solid var(--line);
}
</style>
