/**
 * What the painter has and decides: the studio, the stones in hand, how this painter works, the light, and the tools and room it is planned
 * with.
 */
package mosspebble.core.project;
