/** A finger rests so long, in ms, before it drags, so that the page still scrolls under it. */
export const TOUCH = { delay: 200, tolerance: 8 };
