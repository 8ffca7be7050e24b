import { Chart } from 'chart.js'
import { FONT, GREY } from '@/ui/frame/theme'

/** Charts in Fika's type and ink; imported by whoever draws one. */
Chart.defaults.font.family = FONT
Chart.defaults.font.size = 14
Chart.defaults.color = GREY.soft
