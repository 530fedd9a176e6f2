/** The screen: nodes built from the view-models. No arithmetic of the trade here. */
package mosspebble.app.view;
