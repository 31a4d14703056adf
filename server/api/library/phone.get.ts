import { devices } from '../../db/repositories'
import { openAddresses } from '../../door/listening'
import { pairing } from '../../door/pairingPage'
import { isFromHere } from '../../requests/localOnly'

/** How the program stands with phones: whether it is open, where, with which letters, and who was let in. */
export default defineEventHandler((event) => {
  const addresses = openAddresses()
  // Only whoever sits at the machine itself lets others in.
  const code = isFromHere(event) && addresses.length > 0 ? pairing.current(Date.now()) : undefined
  return {
    open: addresses.length > 0, addresses, code, here: isFromHere(event),
    devices: devices().list(),
  }
})
