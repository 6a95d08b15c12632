/** Holds a copy of the show that is open: checks it, and works out what changes would carry along. */
import { expose } from 'comlink'
import { ShowCopy } from '../session/showCopy'

expose(new ShowCopy())
