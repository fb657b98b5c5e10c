console.log('seed');
