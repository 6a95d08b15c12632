/** Ids that nobody else has. A page that is not served securely has no `crypto.randomUUID`; this works there too. */
export { nanoid as newId } from 'nanoid'
