/** Whether a site is reached by a name: browsers have passkeys for names, and for no bare address. */
export const hasName = (hostname: string): boolean => !/^[\d.]+$|^\[/.test(hostname);
