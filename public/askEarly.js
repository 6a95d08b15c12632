/* Asks for the show of the address while the app that will read it is still being loaded. */
const [, part, id] = window.location.pathname.split('/')
if (part === 'shows' && id) window.askedEarly = { id, response: fetch(`/api/shows/${id}`) }
