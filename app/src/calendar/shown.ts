/** A serving is shown as half an hour: an event of no length is not shown by many calendars, nor has its name room. */
export const servingMin = 30;
