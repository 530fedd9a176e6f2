/** What a practised painter looks for in a stone, a sketch or a plan: one class a rule, each gives findings. Needs the plan. */
package mosspebble.core.rules;
