import { closeToHouse } from '../../door/listening'
import { pairing } from '../../door/pairingPage'
import { rememberOpen } from '../../door/openSetting'
import { fromHereOr403 } from '../../requests/localOnly'

/** Closes the program to the network again. */
export default defineEventHandler((event) => {
  fromHereOr403(event)
  pairing.shut()
  rememberOpen(false)
  // Whoever asks over the very line that is closed gets the answer first.
  setTimeout(closeToHouse, 50)
  setResponseStatus(event, 204)
  return null
})
