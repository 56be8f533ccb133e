declare namespace App {
  interface Locals {
    /** What broke while a page was drawn. */
    broken?: string;
    /** The joined tablet that asks, where the shop is on a network. */
    tabletId?: string;
  }
}
