/** Reading and writing: the studio's database, motifs, faces, sheets and plans in open formats. Whatever is read is bounded and checked. */
package mosspebble.files;
