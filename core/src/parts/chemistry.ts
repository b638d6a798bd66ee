/** Cell chemistries the models know. */
export const chemistries = ['nmc', 'lfp', 'lead'] as const;
export type Chemistry = (typeof chemistries)[number];
