/** The application: command line and start. */
package mosspebble.app;
