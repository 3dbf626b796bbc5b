/** [physics] molar gas constant, exact in the SI of 2019, J/(mol K). */
export const GAS_CONSTANT = 8.314462618
