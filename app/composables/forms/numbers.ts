/** What is said of what is typed where a number is wanted. */
export const NOT_A_NUMBER = 'This is not a number.'
