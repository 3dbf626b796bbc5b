/** The id of a field of Close, to which what is missing leads. */
export const fieldId = (field: string): string => `close-field-${field}`
