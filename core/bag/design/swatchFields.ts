import { group, text } from '../../parts/field/questions'
import { versionField, word } from '../../parts/field/mark'
import { LINES, nameField, NOTE, onShelf } from './documentFields'
import { GAUGE_FIELDS } from './gaugeFields'
import { keptTextureField } from './textureFields'
import { SWATCH_VERSION } from './versions'

/** A swatch as it is written to a file; asked for once the kinds are known, which its textures are. */
export function swatchFields() {
  return {
    fairHollow: word('swatch'), version: versionField(SWATCH_VERSION), name: nameField('Name'), note: NOTE,
    yarn: text('Yarn', 0, 120, { begins: '' }), shelf: onShelf('The id of the yarn of the shelf that it was made in, if that lies there.'),
    gauge: group('Gauge', GAUGE_FIELDS), texture: keptTextureField(LINES),
  } as const
}
