import { fromSI } from '../../base/units/convert'

/** "7.9 lb (3.57 kg)" of a weight in kg. */
export const weightText = (kg: number): string => `${fromSI(kg, 'lb').toFixed(1)} lb (${kg.toFixed(2)} kg)`
