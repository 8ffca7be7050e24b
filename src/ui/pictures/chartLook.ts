import { Chart } from 'chart.js'

/** Charts in Fika's type and ink; imported by whoever draws one. */
Chart.defaults.font.family = "'Atkinson Hyperlegible Next Variable', system-ui, sans-serif"
Chart.defaults.font.size = 14
Chart.defaults.color = '#4d4d4d'
