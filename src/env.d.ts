/// <reference types="astro/client" />

declare namespace App {
  interface Locals {
    /** who asks, as the door found it */
    asking: import('./server/router').Asking;
    /** whether anybody is registered on this Mulch */
    registered: boolean;
  }
}
