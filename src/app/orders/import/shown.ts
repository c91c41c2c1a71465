/** Rows of the preview and of the report that are shown. */
export const SHOWN = 12
