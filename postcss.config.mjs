export default {
  plugins: {
    // Sizes are written in px and built in rem, so that the browser's own font size counts.
    "postcss-preset-mantine": { autoRem: true },
    "postcss-simple-vars": {
      variables: {
        phone: "40em",
        tablet: "64.01em",
      },
    },
  },
};
