// Stands for a text file in tests of screens.
module.exports = {
  __esModule: true,
  default: '# Some words\n\n## A heading\n\nText and [more](forecast.md), and [elsewhere](other.txt).\n',
};
