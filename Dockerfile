# Pyrgotect in a container: built once, run by a user without rights.
FROM node:20-slim AS build
WORKDIR /pyrgotect
COPY package.json package-lock.json ./
COPY core/package.json core/
COPY app/package.json app/
COPY server/package.json server/
COPY cli/package.json cli/
COPY e2e/package.json e2e/
RUN PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1 npm ci --no-audit --no-fund
COPY . .
RUN npm run -s build

FROM node:20-slim
WORKDIR /pyrgotect
COPY --from=build --chown=node:node /pyrgotect /pyrgotect
RUN mkdir /data && chown node:node /data
USER node
ENV HOST=0.0.0.0 PORT=4173 DATA=/data
VOLUME /data
EXPOSE 4173
HEALTHCHECK --interval=30s --timeout=3s --start-period=10s \
  CMD ["node", "-e", "fetch('http://127.0.0.1:4173/api/health').then((r) => process.exit(r.ok ? 0 : 1), () => process.exit(1))"]
CMD ["node", "--import", "tsx", "server/src/main.ts"]
