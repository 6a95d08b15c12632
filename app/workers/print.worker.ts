/** Prints papers without keeping the page waiting. */
import { expose } from 'comlink'
import { printShow } from '../session/printShow'

expose({ printShow })
