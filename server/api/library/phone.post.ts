import { openToHouse } from '../../door/listening'
import { pairing } from '../../door/pairingPage'
import { rememberOpen } from '../../door/openSetting'
import { fromHereOr403 } from '../../requests/localOnly'

/** Opens the program to the home network, and the door to one more machine for a few minutes. */
export default defineEventHandler(async (event) => {
  fromHereOr403(event)
  const addresses = await openToHouse()
  if (addresses.length === 0)
    throw createError({ statusCode: 409, message: 'This machine is in no network that a phone could reach it by.' })
  rememberOpen(true)
  return { addresses, code: pairing.open(Date.now()) }
})
