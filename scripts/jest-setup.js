const { configure } = require('@testing-library/react');

configure({ asyncUtilTimeout: 15_000 });

// Looking for a role asks of every element whether it is hidden; with the whole cascade that is more than half of what these
// tests cost. What is hidden here is hidden by attributes or by a style of its own.
window.getCascadedStyle = window.getComputedStyle.bind(window);
window.getComputedStyle = (element) => element.style;
