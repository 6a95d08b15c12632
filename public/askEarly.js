/* Asks for the show of the address while the app that will read it is still being loaded. */
const [, part, id] = window.location.pathname.split('/')
const bytesOf = (response) => (response.ok ? response.arrayBuffer() : null)
if (part === 'shows' && id) {
  const bytes = fetch(`/api/shows/${id}`).then(bytesOf)
  bytes.catch(() => undefined)
  window.askedEarly = { id, bytes }
}
