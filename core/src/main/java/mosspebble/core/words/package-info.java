/** Sentences about steps, findings and care. All of them stand here, so that another language is another such package. Needs the plan. */
package mosspebble.core.words;
