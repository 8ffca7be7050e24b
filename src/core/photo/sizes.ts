/** Most pixels of a photo that is opened. Start value of Fika. */
export const MOST_PIXELS = 40_000_000

/** Kinds of picture Fika opens, as they are named in a file's head. */
export const PHOTO_KINDS = ['jpg', 'png', 'webp'] as const

/** What is said of a photo that is too large to be opened. */
export const TOO_MANY_PIXELS = 'This photo has more than 40 megapixels. Make it smaller, and try again.'
export const NO_PHOTO = 'This file is not a photo Fika can open. Choose a JPEG, PNG or WebP.'
