/** Tables that can be taken out for a spreadsheet. */
export const tableNames = ['pens', 'defects', 'diameters', 'times', 'orders', 'sales', 'stock'] as const
/** One of them. */
export type TableName = (typeof tableNames)[number]

/** How a table is written: commas and a decimal point, or semicolons and a decimal comma. */
export const csvDialects = ['point', 'comma'] as const
/** One of them. */
export type CsvDialect = (typeof csvDialects)[number]
