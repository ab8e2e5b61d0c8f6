# The program on a host that runs containers: docker build -t wanderung . && docker run -p 3000:3000 wanderung
# A phone keeps it only over https: put a proxy that speaks it in front, and set TRUST_PROXY=1 (docs/hosting.md).
FROM node:22-bookworm-slim AS build
WORKDIR /app
COPY . .
RUN npm ci --no-audit --no-fund && npm run build

FROM node:22-bookworm-slim
WORKDIR /app
ENV NODE_ENV=production HOST=0.0.0.0 PORT=3000
COPY package.json package-lock.json .npmrc ./
RUN npm ci --omit=dev --ignore-scripts --no-audit --no-fund && npm cache clean --force
COPY --from=build /app/dist dist
COPY --from=build /app/build build
USER node
EXPOSE 3000
HEALTHCHECK CMD ["node", "-e", "fetch('http://localhost:3000/api/health').then((r) => process.exit(r.ok ? 0 : 1), () => process.exit(1))"]
CMD ["node", "build/server.mjs"]
