import { createVuetify } from 'vuetify'
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg'
import { dark, light } from '~/theme'

export default defineNuxtPlugin((nuxtApp) => {
  nuxtApp.vueApp.use(createVuetify({
    icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
    theme: { defaultTheme: 'light', themes: { light, dark } },
    defaults: {
      VBtn: { variant: 'text', rounded: 'md', ripple: false },
      VTextField: { variant: 'outlined', density: 'compact', hideDetails: 'auto', color: 'primary' },
      VTextarea: { variant: 'outlined', density: 'compact', hideDetails: 'auto', color: 'primary' },
    },
  }))
})
