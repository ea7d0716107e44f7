# Set Firm in a container: docs/service.md tells how it is built and joined.
# Images of the .NET 10 SDK, of its ASP.NET runtime and of Node.js, by the names that your registry has for them.
ARG SDK=dotnet/sdk:10.0
ARG RUNTIME=dotnet/aspnet:10.0
ARG NODE=node:22-slim

FROM ${NODE} AS node

FROM ${SDK} AS build
COPY --from=node /usr/local/bin/node /usr/local/bin/node
COPY --from=node /usr/local/lib/node_modules /usr/local/lib/node_modules
RUN ln -s ../lib/node_modules/npm/bin/npm-cli.js /usr/local/bin/npm \
 && apt-get update && apt-get install -y --no-install-recommends git && rm -rf /var/lib/apt/lists/*
WORKDIR /src
COPY . .
RUN git init -q . && ./setfirm build \
 && dotnet publish src/SetFirm.Web -c Release -o /app \
 && cp -r src/SetFirm.Web/wwwroot src/SetFirm.Web/planner /app/

FROM ${RUNTIME}
RUN apt-get update && apt-get install -y --no-install-recommends curl && rm -rf /var/lib/apt/lists/* \
 && mkdir /data && chown app /data
COPY --from=build /app /app
USER app
ENV SetFirm__Database=/data/setfirm.db SetFirm__Backups=true SetFirm__WarmUp=true SetFirm__SharePort=5080
VOLUME /data
EXPOSE 5080
ENTRYPOINT ["dotnet", "/app/SetFirm.Web.dll", "--contentRoot", "/app", "--urls", "http://127.0.0.1:5079"]
