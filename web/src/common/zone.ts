/** Where whoever looks is. */
export const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
