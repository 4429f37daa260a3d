/** Where other devices reach this server, as it was started; null: they can't. */
export const addressForOthers = (): string | null => process.env.ISLANDS_ADDRESS ?? null
