/** The program's colours: paper and ink, and one strong accent, the skin of a damson. */
export const light = {
  dark: false,
  colors: {
    'background': '#f3eee3',
    'surface': '#fbf8f0',
    'surface-variant': '#e6dcc9',
    'on-surface-variant': '#3a352d',
    'on-background': '#26231f',
    'on-surface': '#26231f',
    'primary': '#7c1f4e',
    'on-primary': '#fdf7ee',
    'secondary': '#4c5a3a',
    'error': '#9c2a1c',
    'info': '#33566b',
    'success': '#44602f',
    'warning': '#7d5300',
  },
  variables: { 'border-color': '#26231f', 'border-opacity': 0.16, 'medium-emphasis-opacity': 0.78 },
}

/** The same at lamplight. */
export const dark = {
  dark: true,
  colors: {
    'background': '#1d1a18',
    'surface': '#26221f',
    'surface-variant': '#3a342f',
    'on-surface-variant': '#e4dacb',
    'on-background': '#efe7da',
    'on-surface': '#efe7da',
    'primary': '#eda6c6',
    'on-primary': '#3a0b23',
    'secondary': '#bccaa4',
    'error': '#f3a294',
    'info': '#a5c8dc',
    'success': '#b4d097',
    'warning': '#e9c172',
  },
  variables: { 'border-color': '#efe7da', 'border-opacity': 0.2, 'medium-emphasis-opacity': 0.8 },
}
