declare namespace App {
  interface Locals {
    /** What broke while a page was drawn. */
    broken?: string;
  }
}
