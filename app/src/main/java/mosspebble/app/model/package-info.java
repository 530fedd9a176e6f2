/** View-models: what the screen shows and what may be done, without any node of the toolkit. */
package mosspebble.app.model;
