// app.json, and the path below which the program is served where it is no root (npm run build -- --base /river).
module.exports = ({ config }) => ({
  ...config,
  ...(process.env.BASE_PATH && { experiments: { baseUrl: process.env.BASE_PATH } }),
});
