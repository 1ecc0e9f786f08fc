/** What stands behind a time for whom it is: the name of whoever helps, or, where they have none, that it is for them. */
export const forHelper = (name: string | null | undefined): string => (name ? ` · ${name}` : ', for whoever helps')
