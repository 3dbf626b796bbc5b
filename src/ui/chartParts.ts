import {
  Chart,
  Legend,
  LinearScale,
  LineElement,
  LogarithmicScale,
  PointElement,
  ScatterController,
  Tooltip,
} from 'chart.js'
import annotationPlugin from 'chartjs-plugin-annotation'

/**
 * What charts are made of, told once and before any of them is drawn: a plugin that came while one stood would be asked for a
 * chart that it has never seen, and the page could not go on.
 */
Chart.register(
  LinearScale,
  LogarithmicScale,
  LineElement,
  PointElement,
  ScatterController,
  Tooltip,
  Legend,
  annotationPlugin,
)
