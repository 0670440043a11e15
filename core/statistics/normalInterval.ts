/** Half width of a 95% interval of a normal distribution, in standard deviations. */
export const SD_IN_95_PERCENT = 1.96;
