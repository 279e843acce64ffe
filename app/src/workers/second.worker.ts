/* A page that is hidden is let run once a minute; a worker goes on, and catches up when the machine wakes. */
setInterval(() => postMessage(null), 1000);
