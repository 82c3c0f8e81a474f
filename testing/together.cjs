// Runs test files that share what they load, see scripts/together.mjs: each in a block by the name of its path, so that its hooks are its
// own, and one that cannot be loaded fails by itself.
module.exports = function together(files) {
  for (const file of files) {
    describe(file, () => {
      try {
        require(file);
      } catch (error) {
        it('can be loaded', () => {
          throw error;
        });
      }
    });
  }
};
